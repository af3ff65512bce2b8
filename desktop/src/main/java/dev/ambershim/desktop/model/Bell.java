package dev.ambershim.desktop.model;

import java.io.IOException;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.Clip;
import javax.sound.sampled.LineEvent;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.UnsupportedAudioFileException;
import org.slf4j.LoggerFactory;

/** Rings when a timer is over or a reading has come. A stand-in takes its place in tests. */
@FunctionalInterface
public interface Bell {
  /** Rings once; returns at once. A machine without a loudspeaker stays silent. */
  void ring();

  /** The shipped sound. */
  static Bell shipped() {
    return of("bell.wav");
  }

  /** A short tick, for one reading after the other. */
  static Bell tick() {
    return of("tick.wav");
  }

  private static Bell of(String sound) {
    return () -> {
      Thread ringing = new Thread(() -> play(sound), "bell");
      ringing.setDaemon(true);
      ringing.start();
    };
  }

  private static void play(String file) {
    try (AudioInputStream sound = AudioSystem.getAudioInputStream(Bell.class.getResource(file))) {
      Clip clip = AudioSystem.getClip();
      clip.addLineListener(
          e -> {
            if (LineEvent.Type.STOP.equals(e.getType())) {
              clip.close();
            }
          });
      clip.open(sound);
      clip.start();
    } catch (LineUnavailableException | IllegalArgumentException e) {
      LoggerFactory.getLogger(Bell.class).info("no sound here: {}", e.getMessage());
    } catch (UnsupportedAudioFileException | IOException e) {
      LoggerFactory.getLogger(Bell.class).error("the bell cannot be read", e);
    }
  }
}
