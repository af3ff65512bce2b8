package dev.ambershim.core.plan;

/**
 * Time that passes by itself after a step, such as drying.
 *
 * @param span at least so long, as a rule, and to be on the safe side
 * @param what what goes on meanwhile, such as "first coat dries"
 * @param depends what it depends on
 */
public record Wait(Span span, String what, String depends) {}
