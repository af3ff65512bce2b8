package dev.ambershim.sensors.gauge;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.slf4j.LoggerFactory;

/**
 * A stand-in for a digital indicator on a height stand, for practice and tests. It listens on a
 * port of this machine only. Each line that it is sent, {@code read X Y NEAR}, is the foot switch:
 * it answers with a height near the one that is said, as a hand finds it, with scatter of a few
 * micrometres and a face that is bowed by a few more.
 */
public final class GaugeStandIn implements AutoCloseable {
  private static final double SCATTER = 0.0015;

  /** Bow of whatever it probes, mm at 15 mm from the middle. */
  private static final double BOW = 0.012;

  private final ServerSocket server;
  private final Random random;

  /**
   * Begins to listen on a free port.
   *
   * @param seed of its scatter
   */
  public GaugeStandIn(long seed) throws IOException {
    random = new Random(seed);
    server = new ServerSocket(0, 4, InetAddress.getLoopbackAddress());
    Thread thread = new Thread(this::serve, "gauge stand-in");
    thread.setDaemon(true);
    thread.start();
  }

  /** Its port. */
  public int port() {
    return server.getLocalPort();
  }

  private void serve() {
    while (!server.isClosed()) {
      try (Socket client = server.accept()) {
        talk(client);
      } catch (IOException e) {
        // The other side went away, or this side was closed; the loop tells which.
        LoggerFactory.getLogger(GaugeStandIn.class).debug("a talk ended: {}", e.getMessage());
      }
    }
  }

  private void talk(Socket client) throws IOException {
    BufferedReader in =
        new BufferedReader(new InputStreamReader(client.getInputStream(), StandardCharsets.UTF_8));
    OutputStream out = client.getOutputStream();
    send(out, "# height gauge, stand-in");
    String line;
    while ((line = in.readLine()) != null) {
      answer(out, line.strip().split("\\s+", -1));
    }
  }

  private void answer(OutputStream out, String[] words) throws IOException {
    if (!words[0].equals("read")) {
      send(out, "# send: read X Y NEAR");
      return;
    }
    try {
      double x = words.length > 1 ? Double.parseDouble(words[1]) : 0;
      double y = words.length > 2 ? Double.parseDouble(words[2]) : 0;
      double near = words.length > 3 ? Double.parseDouble(words[3]) : 0;
      double bow = BOW * (1 - (x * x + y * y) / (15 * 15));
      send(out, GaugeLine.of(near + bow + SCATTER * random.nextGaussian()));
    } catch (NumberFormatException e) {
      send(out, "# send: read X Y NEAR");
    }
  }

  private static void send(OutputStream out, String line) throws IOException {
    out.write((line + "\n").getBytes(StandardCharsets.UTF_8));
    out.flush();
  }

  @Override
  public void close() {
    try {
      server.close();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
