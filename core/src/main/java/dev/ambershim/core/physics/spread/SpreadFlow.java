package dev.ambershim.core.physics.spread;

import java.util.Arrays;

/**
 * Paste between two plates that close under a force, step by step. In the thin gap the flow through
 * a length is −h³/(12µ)·∇p, its divergence what the plates take away (Reynolds 1886); a Bingham
 * paste flows by the factor 1 − 3s/2 + s³/2 of that, s being the share of the gap that does not
 * shear, 2τ/(h·|∇p|). The edge moves: a cell takes part once it is full, and volume goes from cell
 * to cell, so none is lost. The speed follows from the force, of which shut-in air and, near the
 * bond line, the paste's fillers carry their part ({@link BondLine}). The plate keeps the slopes
 * that it is given. Not for several threads at once.
 *
 * <p>Left out: wetting, slip, bending of the plate, warming while it flows.
 */
public final class SpreadFlow {
  private static final double FULL = 0.999;
  private static final double EMPTIED = 0.95;
  private static final double TOLERANCE = 1e-4;

  /** What still shears where the stress is below the yield stress; keeps the equations solvable. */
  private static final double CREEP = 2e-3;

  /** The largest grains of a paste let two faces come no closer, m; common practice. */
  private static final double THINNEST = 5e-6;

  private static final int MOST_STEPS = 6000;

  /** No step closes more than this share of the gap, nor much more than the one before. */
  private static final double FALL = 0.04;

  private static final double GROWTH = 1.5;
  private static final double STEEPEST = 12;
  private static final int TRIES = 5;
  private static final double DROP = 0.05;

  /** A plate that would close by less than this until the end is at rest, m. */
  private static final double STILL = 1e-7;

  private final SpreadCase setup;
  private final ThinGap thin;
  private final FaceGrid grid;
  private final int columns;
  private final double dx;
  private final double dy;
  private final double area;
  private final double[] bow;
  private final double[] volume;
  private final double[] gap;
  private final double[] room;
  private final boolean[] full;
  private final double[] unit;
  private final double[] air;
  private final double[] pressure;
  private final double[] source;
  private final double[] fluid;
  private final double[] inflow;
  private final AirPockets pockets;
  private final PressureSolver solver;
  private double height;
  private double seconds;
  private double over;
  private double slopeX;
  private double slopeY;
  private double lastClosing;
  private double lastStep = 1e-3;
  private int steps;
  private double wasHeight;
  private double wasSpeed;
  private boolean rested;

  /** Paste laid down, the plate just touching it. */
  public SpreadFlow(SpreadCase setup) {
    this.setup = setup;
    grid = setup.grid();
    thin = new ThinGap(grid, setup.paste());
    columns = thin.columns;
    dx = thin.dx;
    dy = thin.dy;
    area = thin.area;
    gap = thin.gap;
    room = thin.room;
    volume = thin.volume;
    full = thin.full;
    fluid = thin.fluid;
    pressure = thin.pressure;
    pockets = thin.pockets;
    solver = thin.solver;
    int n = grid.size();
    bow = new double[n];
    for (int c = 0; c < n && setup.bowMicrometres().length > 0; c++) {
      bow[c] = setup.bowMicrometres()[c] * 1e-6;
    }
    unit = new double[n];
    air = new double[n];
    source = new double[n];
    inflow = new double[n];
    double[] laid = Deposit.heights(grid, setup.pattern(), setup.own(), setup.cubicMillimetres());
    double highest = 0;
    slopeX = setup.pressing().stages().get(0).xSlope();
    slopeY = setup.pressing().stages().get(0).ySlope();
    for (int c = 0; c < n; c++) {
      volume[c] = laid[c] / 1000 * area;
      highest = Math.max(highest, laid[c] / 1000 - bow[c] - slopeX * along(c) - slopeY * up(c));
    }
    height = Math.max(0.98 * highest, THINNEST);
    shape();
    fill();
  }

  private double along(int c) {
    return (c % columns + 0.5) * dx - grid.widthMillimetres() / 2000;
  }

  private double up(int c) {
    int row = c / columns;
    return (row + 0.5) * dy - grid.depthMillimetres() / 2000;
  }

  /** Gap and room of each cell as the plate lies now. */
  private void shape() {
    double least = Double.POSITIVE_INFINITY;
    for (int c = 0; c < gap.length; c++) {
      gap[c] = height + bow[c] + slopeX * along(c) + slopeY * up(c);
      least = grid.face()[c] ? Math.min(least, gap[c]) : least;
    }
    // A tilted plate stands on its lowest edge and goes no further.
    double lift = Math.max(0, THINNEST - least);
    height += lift;
    for (int c = 0; c < gap.length; c++) {
      gap[c] = Math.max(THINNEST, gap[c] + lift);
      room[c] = gap[c] * area;
    }
  }

  private void fill() {
    for (int c = 0; c < full.length; c++) {
      full[c] =
          grid.face()[c] && volume[c] >= (full[c] ? EMPTIED : FULL) * room[c] && volume[c] > 0;
    }
  }

  /**
   * One step.
   *
   * @return whether it still moves
   */
  public boolean step() {
    if (rested) {
      return false;
    }
    double fullArea = 0;
    for (boolean f : full) {
      fullArea += f ? area : 0;
    }
    if (fullArea == 0) {
      // Nothing touches yet: the plate falls to the highest paste.
      drop();
      return true;
    }
    Pressing pressing = setup.pressing();
    double force = pressing.newtons(seconds);
    double[] turning = pressing.turning(seconds);
    pockets.find(full, volume, room, 3 * force / fullArea);
    thin.conductances(source);
    solver.ready();
    double next = Math.max(GROWTH * lastClosing, 0.002 * height);
    given(turning);
    drive(next);
    Carried carried = carried(turning);
    double until = Math.min(setup.limitSeconds(), pressing.ends(seconds)) - seconds;
    double dt = Math.min(until, GROWTH * lastStep);
    double speed = 0;
    for (int tries = 0; tries < TRIES; tries++) {
      speed = carried.speed(force, dt, pressing.tilts());
      press(speed);
      double longest = Math.min(front(), falls(speed, turning, next));
      if (dt <= longest * (1 + 1e-9)) {
        break;
      }
      dt = longest;
    }
    if (seconds >= setup.limitSeconds()
        || steps >= MOST_STEPS
        || (pressing.last(seconds)
            && turning[0] == 0
            && turning[1] == 0
            && Math.abs(speed) * (setup.limitSeconds() - seconds) < STILL)) {
      rested = true;
      return false;
    }
    double closed = speed * dt;
    // The speed falls while the gap closes; by the power law of the last two steps the time for
    // this
    // way is longer, and the mean speed lower. A turning plate keeps to its own time.
    double took = pressing.tilts() ? dt : dt * slowing(speed, closed / height);
    press(closed / took);
    move(took);
    wasHeight = height;
    wasSpeed = speed;
    height -= closed;
    slopeX += turning[0] * took;
    slopeY += turning[1] * took;
    lastClosing = Math.abs(closed);
    lastStep = took;
    seconds += took;
    steps++;
    shape();
    fill();
    yielding();
    return true;
  }

  /** Pressure that is there whether or not the plate comes down: of shut-in air, and of turning. */
  private void given(double[] turning) {
    boolean turns = turning[0] != 0 || turning[1] != 0;
    if (turns) {
      for (int c = 0; c < full.length; c++) {
        source[c] -= full[c] ? area * (turning[0] * along(c) + turning[1] * up(c)) : 0;
      }
    }
    if (turns || pockets.any()) {
      solver.solve(source, air, TOLERANCE);
    } else {
      Arrays.fill(air, 0);
    }
  }

  /** Pressure for a unit of the speed of closing. */
  private void drive(double next) {
    // At a like speed the pressure goes by 1/h³: a better guess than the last one as it is.
    double scale = wasHeight > height ? Math.pow(wasHeight / height, 3) : 1;
    for (int c = 0; c < full.length; c++) {
      unit[c] *= scale;
      // What a cell holds too much is moved on while the plate closes by the next step.
      source[c] = full[c] ? area + (volume[c] - room[c]) / next : 0;
    }
    solver.solve(source, unit, TOLERANCE);
  }

  /**
   * What carries the plate.
   *
   * @param still force that is there without any speed, N
   * @param drag force for a unit of speed, N·s/m
   * @param stiff how the force of the fillers grows as the plate closes, N/m
   * @param turned how it grows as the plate turns, N/s
   */
  private record Carried(double still, double drag, double stiff, double turned) {
    /** Speed for a step; what the fillers carry is taken at its end, so that it does not swing. */
    double speed(double force, double seconds, boolean mayRise) {
      double v = (force - still - seconds * turned) / (drag + seconds * stiff);
      return mayRise ? v : Math.max(0, v);
    }
  }

  private Carried carried(double[] turning) {
    double still = 0;
    double drag = 0;
    double stiff = 0;
    double turned = 0;
    double at = -1;
    double fillers = 0;
    for (int c = 0; c < full.length; c++) {
      if (!full[c]) {
        still += grid.face()[c] ? Math.max(0, thin.beyond(c)) * area : 0;
        continue;
      }
      // Between flat plates all gaps are one, and powers take their time.
      fillers = gap[c] == at ? fillers : BondLine.pascal(setup.paste().yieldPascal(), gap[c]);
      at = gap[c];
      double each = -BondLine.steepness() * fillers / gap[c] * area;
      still += (air[c] + fillers) * area;
      drag += unit[c] * area;
      stiff += each;
      turned -= each * (turning[0] * along(c) + turning[1] * up(c));
    }
    return new Carried(still, drag, stiff, turned);
  }

  /** The longest step in which no full cell closes by more than its share, s. */
  private double falls(double speed, double[] turning, double next) {
    double dt = next / Math.max(speed, 1e-300);
    for (int c = 0; c < full.length; c++) {
      if (full[c]) {
        double closing = Math.abs(speed - turning[0] * along(c) - turning[1] * up(c));
        dt = closing > 0 ? Math.min(dt, FALL * gap[c] / closing) : dt;
      }
    }
    return dt;
  }

  private void press(double speed) {
    for (int c = 0; c < full.length; c++) {
      pressure[c] = full[c] ? speed * unit[c] + air[c] : 0;
    }
  }

  /** How much longer a step takes than at the speed of its beginning, if speed goes by hⁿ. */
  private double slowing(double speed, double share) {
    double n = 3;
    if (wasSpeed > 0 && wasHeight > height && speed > 0) {
      n = Math.log(wasSpeed / speed) / Math.log(wasHeight / height);
    }
    n = Math.max(0, Math.min(STEEPEST, n));
    if (share < 1e-9) {
      return 1;
    }
    return Math.abs(n - 1) < 1e-6
        ? -Math.log1p(-share) / share
        : (Math.pow(1 - share, 1 - n) - 1) / ((n - 1) * share);
  }

  /** Nothing but a bare edge holds the plate: it comes down to the highest paste, and turns on. */
  private void drop() {
    double highest = -1;
    for (int c = 0; c < full.length; c++) {
      highest = Math.max(highest, volume[c] / area - bow[c] - slopeX * along(c) - slopeY * up(c));
    }
    double[] turning = setup.pressing().turning(seconds);
    double dt = Math.min(DROP, setup.pressing().ends(seconds) - seconds);
    slopeX += turning[0] * dt;
    slopeY += turning[1] * dt;
    height = Math.min(height, highest) - 0.005 * Math.abs(height);
    seconds += dt;
    steps++;
    rested = seconds >= setup.limitSeconds() || steps >= MOST_STEPS;
    shape();
    fill();
  }

  /** The longest step in which no cell at the edge takes in more than it half holds, s. */
  private double front() {
    Arrays.fill(inflow, 0);
    for (int c = 0; c < full.length; c++) {
      if (!full[c]) {
        continue;
      }
      int i = c % columns;
      int j = c / columns;
      into(c, c - 1, i > 0);
      into(c, c + 1, i + 1 < columns);
      into(c, c - columns, j > 0);
      into(c, c + columns, j + 1 < grid.rows());
    }
    double dt = Double.POSITIVE_INFINITY;
    for (int c = 0; c < full.length; c++) {
      if (inflow[c] > 0) {
        dt = Math.min(dt, 0.6 * room[c] / inflow[c]);
      }
    }
    return dt;
  }

  private void into(int c, int to, boolean there) {
    if (there && !full[to] && grid.face()[to]) {
      inflow[to] += thin.flow(c, to, true);
    }
  }

  private void move(double dt) {
    Arrays.fill(inflow, 0);
    for (int c = 0; c < full.length; c++) {
      if (!full[c]) {
        continue;
      }
      int i = c % columns;
      int j = c / columns;
      pass(c, c - 1, i > 0, dt);
      pass(c, c + 1, i + 1 < columns, dt);
      pass(c, c - columns, j > 0, dt);
      pass(c, c + columns, j + 1 < grid.rows(), dt);
    }
    for (int c = 0; c < full.length; c++) {
      volume[c] += inflow[c];
    }
  }

  /** Moves paste over one side; a side between two full cells is passed once, from the lower. */
  private void pass(int c, int to, boolean there, double dt) {
    boolean both = there && full[to];
    if (both && to < c) {
      return;
    }
    double moved = thin.flow(c, to, there) * dt;
    boolean onFace = there && grid.face()[to];
    if (!both && moved < 0) {
      // Suction at the edge draws back what the neighbour holds, and no more.
      moved = onFace ? Math.max(moved, -0.25 * volume[to]) : 0;
    }
    inflow[c] -= moved;
    if (onFace) {
      inflow[to] += moved;
    } else {
      over += moved;
    }
  }

  /** How freely each cell flows under the stress that it had. */
  private void yielding() {
    double tau = setup.paste().yieldPascal();
    for (int c = 0; c < full.length; c++) {
      if (!full[c]) {
        fluid[c] = 1;
        continue;
      }
      int i = c % columns;
      int j = c / columns;
      double gx = slope(c, i > 0 ? c - 1 : -1, i + 1 < columns ? c + 1 : -1, dx);
      double gy = slope(c, j > 0 ? c - columns : -1, j + 1 < grid.rows() ? c + columns : -1, dy);
      double steep = Math.sqrt(gx * gx + gy * gy);
      double s = 2 * tau / (gap[c] * steep);
      double now = s < 1 ? Math.max(CREEP, 1 - 1.5 * s + 0.5 * s * s * s) : CREEP;
      // Half of the way at a time: stress and flow hang on each other.
      fluid[c] = Math.sqrt(fluid[c] * now);
    }
  }

  private double slope(int c, int low, int high, double step) {
    double a = low < 0 ? 0 : full[low] ? pressure[low] : thin.beyond(low);
    double b = high < 0 ? 0 : full[high] ? pressure[high] : thin.beyond(high);
    // The steeper side: at the ridge of the pressure the mean of both would be nothing.
    return Math.max(Math.abs(pressure[c] - a), Math.abs(b - pressure[c])) / step;
  }

  /** Whether it has come to rest. */
  public boolean atRest() {
    return rested;
  }

  /** Time since the plate touched, s. */
  public double seconds() {
    return seconds;
  }

  /** How many steps were taken. */
  public int steps() {
    return steps;
  }

  /** Gap at the closest place of both faces, µm. */
  public double closestMicrometres() {
    return height * 1e6;
  }

  /** What was pressed out over the edge, mm³. */
  public double overflowCubicMillimetres() {
    return over * 1e9;
  }

  /** What is on the face still, mm³. */
  public double onFaceCubicMillimetres() {
    double sum = 0;
    for (double v : volume) {
      sum += v;
    }
    return sum * 1e9;
  }

  /** The state now, to be shown or judged. */
  public SpreadState state() {
    int n = grid.size();
    float[] filled = new float[n];
    float[] thick = new float[n];
    boolean[] shut = new boolean[n];
    for (int c = 0; c < n; c++) {
      filled[c] = grid.face()[c] ? (float) Math.min(1, volume[c] / room[c]) : 0;
      thick[c] = (float) (gap[c] * 1e6);
      shut[c] = grid.face()[c] && !full[c] && pockets.shut(c);
    }
    return new SpreadState(
        grid, seconds, height * 1e6, filled, thick, shut, over * 1e9, setup.cubicMillimetres());
  }
}
