package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.stage.diagnosis.Suspect.Stray;
import java.util.Arrays;
import java.util.List;

/**
 * Where each unknown stands in the vector of unknowns, and how far it usually strays. All are
 * shares, K or K/W and 0 where nothing strays.
 */
final class Layout {
  private static final int PLANE = 3;
  private static final int SHAPE = 5;

  /** How many times as far as usual things stray where no cause fits. */
  private static final double FAR = 4;

  /** How far a loop that nobody told strays from the usual one, as a share. */
  private static final double UNTOLD_LOOP = 0.4;

  private final DiagnosisCase given;
  private final int joints;
  private final int cores;
  private final List<Integer> mounts;
  private final int readings;

  Layout(DiagnosisCase given, StackModel model, List<Integer> mounts, int readings) {
    this.given = given;
    this.joints = model.joints();
    this.cores = model.cores();
    this.mounts = mounts;
    this.readings = readings;
  }

  /** A joint's thickness: even, towards +x, towards +y. */
  int joint(int joint, int figure) {
    return joint * PLANE + figure;
  }

  int film() {
    return joints * PLANE;
  }

  int shape(int figure) {
    return film() + 1 + figure;
  }

  /** The outermost joint's stray at a mount. */
  int mount(int mount, int figure) {
    return film() + 1 + SHAPE + mounts.indexOf(mount) * PLANE + figure;
  }

  int power(int core) {
    return film() + 1 + SHAPE + mounts.size() * PLANE + core;
  }

  int allPower() {
    return power(cores);
  }

  int sensor(int core) {
    return allPower() + 1 + core;
  }

  int allSensors() {
    return sensor(cores);
  }

  int hot() {
    return allSensors() + 1;
  }

  int loop() {
    return hot() + 1;
  }

  int air() {
    return loop() + 1;
  }

  /** What the coolant or the room of one reading was off by. */
  int sink(int reading) {
    return air() + 1 + reading;
  }

  int size() {
    return sink(readings);
  }

  /**
   * For each unknown here its place in another layout of the same stack; −1 for what is not there.
   * What a single reading was off by is never the same.
   */
  int[] from(Layout other) {
    int[] from = new int[size()];
    Arrays.fill(from, -1);
    for (int i = 0; i < film() + 1 + SHAPE; i++) {
      from[i] = i;
    }
    for (int m : mounts) {
      for (int f = 0; f < PLANE && other.mounts.contains(m); f++) {
        from[mount(m, f)] = other.mount(m, f);
      }
    }
    for (int i = power(0); i < sink(0); i++) {
      from[i] = i - power(0) + other.power(0);
    }
    return from;
  }

  List<Integer> mounts() {
    return mounts;
  }

  /**
   * The priors of the unknowns under a suspect.
   *
   * @param likely written; 0 is as it should be
   * @param spread written; standard deviations
   */
  void priors(Suspect suspect, double[] likely, double[] spread) {
    Doubts d = given.doubts();
    for (int j = 0; j < joints; j++) {
      spread[joint(j, 0)] = j == joints - 1 ? d.outerShare() : d.innerShare();
      spread[joint(j, 1)] = d.tiltShare();
      spread[joint(j, 2)] = d.tiltShare();
    }
    spread[film()] = d.filmShare();
    for (int f = 0; f < suspect.shape().spread().length; f++) {
      spread[shape(f)] = suspect.shape().spread()[f];
    }
    if (mounts.size() > 1) {
      for (int m : mounts) {
        spread[mount(m, 0)] = d.mountShare();
        spread[mount(m, 1)] = d.mountTiltShare();
        spread[mount(m, 2)] = d.mountTiltShare();
      }
    }
    for (int c = 0; c < cores; c++) {
      spread[power(c)] = d.powerShare();
      spread[sensor(c)] = d.sensorKelvin();
    }
    spread[allPower()] = d.allPowerShare();
    spread[allSensors()] = d.allSensorsKelvin();
    likely[hot()] = d.hotKelvinPerWatt();
    spread[hot()] = d.hotDoubt();
    spread[loop()] = given.loopKelvinPerWatt().isPresent() ? d.loopShare() : UNTOLD_LOOP;
    spread[air()] = d.airKelvin();
    for (int r = 0; r < readings; r++) {
      spread[sink(r)] = d.airKelvin();
    }
    stray(suspect, likely, spread);
  }

  private void stray(Suspect suspect, double[] likely, double[] spread) {
    Stray stray = suspect.stray();
    int at =
        switch (stray) {
          case LOOP -> loop();
          case AIR -> air();
          case SENSOR_HIGH, SENSOR_LOW -> sensor(suspect.core());
          case POWER -> power(suspect.core());
          case ALL_POWER -> allPower();
          case NOTHING, EVERYTHING, NOISE -> -1;
        };
    if (at >= 0) {
      likely[at] = stray.likely();
      spread[at] = stray.spread();
    }
    if (stray == Stray.EVERYTHING) {
      for (int i = 0; i < spread.length; i++) {
        spread[i] *= FAR;
      }
    }
  }

  /** How many times as noisy the readings are. */
  static double noise(Suspect suspect) {
    return suspect.stray() == Stray.NOISE ? FAR : 1;
  }
}
