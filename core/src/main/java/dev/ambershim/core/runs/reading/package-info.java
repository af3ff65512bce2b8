/**
 * Temperature logs: reading them whatever wrote them, what each column stands for, and which
 * readings can be. What a run says is judged in the judging package.
 */
package dev.ambershim.core.runs.reading;
