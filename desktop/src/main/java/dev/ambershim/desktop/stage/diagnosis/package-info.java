/**
 * Why is it hot? The causes of a job's readings on screen, what was noticed, and the tests that are
 * left, as buttons. What they mean is worked out in core.
 */
package dev.ambershim.desktop.stage.diagnosis;
