/**
 * Small tables of figures with a header line, such as histories and series. Logs, which are long
 * and come in every shape, are read elsewhere.
 */
package dev.ambershim.core.runs.table;
