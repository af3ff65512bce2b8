package dev.ambershim.core.plan;

import java.util.Arrays;
import java.util.List;

/** Questions on which practitioners differ. Each has ways to answer it, and one taken as a rule. */
public enum School {
  OPENER("How the lid comes off"),
  TOOL("Is the tool in hand?"),
  NEAR("Are there parts near the die?"),
  COVER("What covers the parts around the die"),
  SOLDER("How old solder comes off"),
  POLISH("Are the faces polished?"),
  FACES("Which faces are filmed"),
  SEAL("How the lid is held"),
  PASTE("How paste is put on"),
  REST("What carries the cold plate beside a bare die"),
  REOPEN("When it is opened again"),
  JUDGE("What the proof goes by");

  private final String question;

  School(String question) {
    this.question = question;
  }

  /** The question. */
  public String question() {
    return question;
  }

  /** The ways to answer it, the one taken as a rule first. */
  public List<Way> ways() {
    return Arrays.stream(Way.values()).filter(w -> w.school() == this).toList();
  }

  /** The way taken as a rule. */
  public Way usual() {
    return ways().get(0);
  }
}
