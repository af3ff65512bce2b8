package dev.ambershim.sensors.gauge;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.function.DoubleConsumer;
import java.util.regex.Pattern;
import org.slf4j.LoggerFactory;

/**
 * Readings of a height gauge, as they come: from a socket of this machine, {@code localhost:port},
 * or from a stream, the path of a serial line or pipe. Readings arrive on a thread of its own.
 * Nothing here goes over a network, so another machine is refused before its name is looked up.
 */
public final class HeightGauge implements AutoCloseable {
  private static final int PATIENCE = 2000;

  /** Names and addresses of this machine, which need no looking up. */
  private static final Pattern HERE =
      Pattern.compile("localhost|127(\\.\\d{1,3}){3}|\\[::1\\]", Pattern.CASE_INSENSITIVE);

  /** A reading with its unit has some twenty letters. */
  private static final int MOST_LETTERS = 64;

  private final Thread thread;
  private final Socket socket;
  private final InputStream stream;
  private volatile boolean closed;

  private HeightGauge(Socket socket, InputStream stream, DoubleConsumer readings, Runnable ended) {
    this.socket = socket;
    this.stream = stream;
    thread = new Thread(() -> listen(readings, ended), "height gauge");
    thread.setDaemon(true);
    thread.start();
  }

  /**
   * Connects.
   *
   * @param address {@code localhost:port}, or a path
   * @param readings takes each reading, mm
   * @param ended told when the gauge goes away by itself
   * @throws Problem {@code gauge.lost} if it cannot be reached, {@code gauge.far} if it is on
   *     another machine
   */
  public static HeightGauge at(String address, DoubleConsumer readings, Runnable ended) {
    String text = address.strip();
    try {
      if (text.matches("[^/\\\\]+:\\d{1,5}")) {
        int colon = text.lastIndexOf(':');
        String host = text.substring(0, colon);
        if (!HERE.matcher(host).matches()) {
          throw new Problem(
              "gauge.far",
              Place.field(text),
              "That is another machine, and Amber Shim does not use a network.",
              "Bring the gauge's line to this machine, and give localhost:port or its path.");
        }
        Socket socket = new Socket();
        socket.connect(
            new InetSocketAddress(host, Integer.parseInt(text.substring(colon + 1))), PATIENCE);
        return new HeightGauge(socket, socket.getInputStream(), readings, ended);
      }
      return new HeightGauge(null, Files.newInputStream(Path.of(text)), readings, ended);
    } catch (IOException | IllegalArgumentException e) {
      throw new Problem(
          "gauge.lost",
          Place.field(text.isEmpty() ? "height gauge" : text),
          "No height gauge answers there.",
          "Switch it on, and give localhost:port or the path of its line.",
          e);
    }
  }

  private void listen(DoubleConsumer readings, Runnable ended) {
    StringBuilder line = new StringBuilder();
    boolean tooLong = false;
    try (Reader in = new InputStreamReader(stream, StandardCharsets.UTF_8)) {
      for (int c = in.read(); c >= 0; c = in.read()) {
        if (c != '\n' && c != '\r') {
          // A line has its end soon; what runs on without one is dropped, not gathered.
          tooLong |= line.length() >= MOST_LETTERS;
          line.append(tooLong ? "" : String.valueOf((char) c));
          continue;
        }
        if (!tooLong) {
          GaugeLine.millimetres(line.toString()).ifPresent(readings);
        }
        tooLong = false;
        line.setLength(0);
      }
      // What has no end of line may be half a reading.
    } catch (IOException | RuntimeException | Error e) {
      // Gone, closed or broken, which is told below either way.
      closed |= socket != null && socket.isClosed();
      LoggerFactory.getLogger(HeightGauge.class).info("the gauge's line ended", e);
    }
    if (!closed) {
      ended.run();
    }
  }

  /**
   * Asks for a reading, as a foot switch does. A gauge with a button of its own may not listen.
   *
   * @param near about what height is awaited, for the stand-in
   */
  public void ask(double xMillimetres, double yMillimetres, double near) {
    if (socket == null) {
      return;
    }
    try {
      OutputStream out = socket.getOutputStream();
      out.write(
          String.format(Locale.ROOT, "read %.3f %.3f %.4f\n", xMillimetres, yMillimetres, near)
              .getBytes(StandardCharsets.UTF_8));
      out.flush();
    } catch (IOException e) {
      throw new Problem(
          "gauge.lost",
          Place.field("height gauge"),
          "The height gauge went away.",
          "Connect it again; what was read is kept.",
          e);
    }
  }

  @Override
  public void close() {
    closed = true;
    try {
      if (socket != null) {
        socket.close();
      } else {
        stream.close();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
