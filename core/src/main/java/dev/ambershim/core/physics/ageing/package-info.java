/**
 * What joints do over years, as far as it is known beforehand. A chip's own checks soon count for
 * more; they are worked out among the runs.
 */
package dev.ambershim.core.physics.ageing;
