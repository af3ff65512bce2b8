/**
 * The demo: an invented workshop with two complete jobs, made by a seeded generator. Every name and
 * every figure in it is made up.
 */
package dev.ambershim.desktop.demo;
