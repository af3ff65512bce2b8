/**
 * What a change of build should bring, with its interval. Whether it did bring it is judged in the
 * run log package.
 */
package dev.ambershim.core.forecast;
