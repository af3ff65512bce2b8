/**
 * Temperature logs: reading them, finding the settled part, and judging one against another. What
 * to expect of a change is the forecast package's business; where logs are kept, the logbook's.
 */
package dev.ambershim.core.runlog;
