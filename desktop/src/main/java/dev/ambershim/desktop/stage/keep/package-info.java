/**
 * Keep on screen: checks, their course, what happened. Drift, dates and schools are worked out in
 * core's keep stage.
 */
package dev.ambershim.desktop.stage.keep;
