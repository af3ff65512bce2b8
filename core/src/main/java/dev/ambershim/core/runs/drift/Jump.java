package dev.ambershim.core.runs.drift;

import dev.ambershim.core.base.Interval;
import java.time.LocalDate;

/**
 * A sudden change.
 *
 * @param last the last check before it
 * @param date the first check after it
 * @param kelvin by how much, K at the reference power
 * @param interval nineteen of twenty such hold it
 */
public record Jump(LocalDate last, LocalDate date, double kelvin, Interval interval) {}
