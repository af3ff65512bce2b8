/** Stage 3: when each step of the plan is due. The steps themselves live in the plan package. */
package dev.ambershim.core.stage.open;
