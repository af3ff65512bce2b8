/**
 * The beginning of a job: three questions and a forecast at once. What becomes of the job is the
 * stages' own.
 */
package dev.ambershim.desktop.stage.begin;
