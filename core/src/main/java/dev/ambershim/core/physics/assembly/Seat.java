package dev.ambershim.core.physics.assembly;

import java.util.OptionalDouble;

/**
 * What a chip sits in. It decides whether the chip can be lifted, what holds it once its lid is
 * off, and what the board around it needs. All of it is common practice.
 */
public enum Seat {
  /** A land grid: the clamp presses the lid's ears, so without a lid it holds nothing. */
  CLAMP("socket whose clamp presses the lid", 250),
  /** Pins that a lever grips; they hold with or without a lid. */
  LEVER("socket with a lever and pins", 250),
  /** A laptop's or console's board. */
  BOARD("soldered to its board", Double.NaN),
  /** A card, such as a graphics card. */
  CARD("soldered to a card", Double.NaN);

  private final String words;
  private final double mostNewtons;

  Seat(String words, double mostNewtons) {
    this.words = words;
    this.mostNewtons = mostNewtons;
  }

  /** The seat in words. */
  public String words() {
    return words;
  }

  /** Whether the chip is soldered down and never leaves its board. */
  public boolean soldered() {
    return this == BOARD || this == CARD;
  }

  /** Whether the seat holds a chip without its lid. */
  public boolean holdsBare() {
    return this != CLAMP;
  }

  /** The most that a cooler may press with, N; empty where no figure is known. */
  public OptionalDouble mostNewtons() {
    return Double.isNaN(mostNewtons) ? OptionalDouble.empty() : OptionalDouble.of(mostNewtons);
  }
}
