package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Lid;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Detail;
import dev.ambershim.core.physics.build.Ladder;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Responses;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.plan.Wish;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Advice, limits of sense, what readings tell, cores, prices and odds. */
@Tag("slow")
class WeighingTest {
  private static final Question PASTE = TypicalChips.MIDDLING_PASTE.question;

  private static Question with(
      Question q, List<Reading> readings, List<Question.Pattern> patterns) {
    return new Question(
        q.now(), q.heatWatts(), 22, q.careKelvin(), readings, patterns, q.terms(), q.record());
  }

  private static Question at(Situation now) {
    return new Question(now, 150, 22, 1, List.of(), List.of(), Terms.USUAL, OwnRecord.NONE);
  }

  private static Option option(Situation now, OptionKind kind) {
    return Weighing.options(at(now), Notation.METRIC).stream()
        .filter(o -> o.kind() == kind)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aReadingNarrowsTheForecastAndSaysGo() {
    Weighing blind = Solved.weigh(PASTE, WhatIf.AS_IT_IS);
    double rise = blind.riseNowKelvin();
    Weighing told =
        Solved.weigh(
            with(PASTE, List.of(Reading.plain("a", 150, 22 + rise, 22)), List.of()),
            WhatIf.AS_IT_IS);
    OptionKind kind = OptionKind.METAL_GLUED;
    assertThat(told.option(kind).gain().width())
        // The hot place in a core stays open, however well the rise is known.
        .isLessThan(0.85 * blind.option(kind).gain().width());
    assertThat(told.riseNowKelvin()).isCloseTo(rise, within(1.0));
    assertThat(told.advice().sentence()).startsWith("Go: ").contains("in eight cases of ten");
    assertThat(told.recommended()).hasValueSatisfying(k -> assertThat(k.opens()).isTrue());
    assertThat(blind.reasons()).anyMatch(r -> r.contains("no reading of this chip yet"));
    assertThat(told.advice().working().inputs()).isNotEmpty();
  }

  @Test
  void solderIsLeftAloneOrTriedMoreCheaply() {
    Weighing w = Solved.weigh(TypicalChips.LARGE_SOLDER.question, WhatIf.AS_IT_IS);
    assertThat(w.advice().sentence()).startsWith("Leave the lid on: ");
    Question dear =
        new Question(
            TypicalChips.LARGE_SOLDER.question.now(),
            40,
            22,
            5,
            List.of(),
            List.of(),
            Terms.USUAL,
            OwnRecord.NONE);
    Weighing cold = Solved.weigh(dear, WhatIf.AS_IT_IS);
    assertThat(cold.advice().sentence())
        .startsWith("Leave it: nothing is likely to gain the 5.0 K that you care about");
    assertThat(cold.recommended()).isEmpty();
  }

  private static Weighing wishing(Wish wish, Double target) {
    Question q = TypicalChips.HOT_SOLDER.question;
    Terms generous =
        Terms.USUAL
            .withCoinsPerKelvin(60)
            .withVoltagePercent(8)
            .withWish(wish)
            .withTargetKelvin(target);
    return Solved.weigh(
        new Question(q.now(), q.heatWatts(), 22, 1, List.of(), List.of(), generous, OwnRecord.NONE)
            .withClockMegahertz(4800),
        WhatIf.AS_IT_IS);
  }

  /** What is advised, and in which currency, is what the person wants. */
  @Test
  void everyWishHasItsOwnAdvice() {
    Weighing cooler = wishing(Wish.COOLER, null);
    assertThat(cooler.recommended().orElseThrow())
        .isNotIn(OptionKind.LOWER_VOLTAGE, OptionKind.LOWER_CLOCK);
    Weighing safe = wishing(Wish.LEAST_RISK, null);
    OptionForecast safest = safe.option(safe.recommended().orElseThrow());
    assertThat(safest.ruin()).isZero();
    assertThat(wishing(Wish.MORE_CLOCK, null).reasons().get(0))
        .matches("You want more clock: about \\d+ MHz \\(\\d+ to \\d+\\) more at today's.*");
    assertThat(wishing(Wish.QUIETER, null).reasons().get(0))
        .matches(".* dB \\(\\d+ to \\d+\\) quieter\\.");
    assertThat(wishing(Wish.LONGER_LIFE, null).reasons().get(0))
        .matches(".* times as long \\(1\\.\\d to \\d\\.\\d\\)\\.");
  }

  @Test
  void aTargetIsReachedCheaplyOrNotAtAll() {
    Weighing modest = wishing(Wish.COOLER, 2.0);
    OptionForecast found = modest.option(modest.recommended().orElseThrow());
    assertThat(found.gain().low()).isGreaterThanOrEqualTo(2);
    assertThat(modest.options())
        .filteredOn(o -> o.option().possible() && o.gain().low() >= 2 && o.netCoins() > 0)
        .filteredOn(
            o ->
                o.option().kind() != OptionKind.LOWER_VOLTAGE
                    && o.option().kind() != OptionKind.LOWER_CLOCK)
        .allSatisfy(
            o -> assertThat(o.costCoins()).isGreaterThanOrEqualTo(found.costCoins() - 1e-9));
    assertThat(wishing(Wish.COOLER, 60.0).advice().sentence())
        .startsWith("None of these reaches 60.0 K for sure: the most is ");
  }

  /** Options together bring more than each alone, and nothing outdoes them. */
  @Test
  void bundlesAreWorthwhileOrNotThere() {
    Weighing w = wishing(Wish.COOLER, null);
    assertThat(w.bundles()).hasSizeBetween(1, 3);
    for (OptionForecast bundle : w.bundles()) {
      assertThat(bundle.option().kinds().size()).isGreaterThan(1);
      for (OptionKind part : bundle.option().kinds()) {
        assertThat(bundle.gainKelvin()).isGreaterThan(w.option(part).gainKelvin());
        assertThat(bundle.costCoins()).isGreaterThanOrEqualTo(w.option(part).costCoins() - 1e-9);
      }
      assertThat(w.options())
          .filteredOn(o -> o.option().possible())
          .noneMatch(
              o ->
                  o.gainKelvin() >= bundle.gainKelvin()
                      && o.costCoins() < bundle.costCoins()
                      && o.ruin() <= bundle.ruin());
    }
    assertThat(PricePicture.of(w, Notation.METRIC, 700, 210).description())
        .startsWith("Gain by cost")
        .contains(" K for ");
  }

  /** A rise that a chip does not bear is told in watts at its limit. */
  @Test
  void whatWouldThrottleIsToldInWatts() {
    Weighing hot = Solved.weigh(PASTE, new WhatIf(3, 1, 0, 1));
    assertThat(hot.reasons())
        .anyMatch(
            r -> r.matches("The chip would throttle at this load: at 100\\.0 °C it .* W now.*"));
  }

  @Test
  void aReadingThatDoesNotFitGivesNoAdvice() {
    Weighing w =
        Solved.weigh(
            with(PASTE, List.of(Reading.plain("a", 150, 22 + 110, 22)), List.of()),
            WhatIf.AS_IT_IS);
    assertThat(w.advice().sentence()).startsWith("Find the cause first");
    assertThat(w.recommended()).isEmpty();
    assertThat(w.reasons()).anyMatch(r -> r.contains("power channel"));
  }

  @Test
  void whatCannotBeToldApartIsSaidAndAReadingNamed() {
    Question q = TypicalChips.MIDDLING_SOLDER.question;
    double rise = Solved.weigh(q, WhatIf.AS_IT_IS).riseNowKelvin();
    Weighing w =
        Solved.weigh(
            with(q, List.of(Reading.plain("a", 200, 22 + rise, 22)), List.of()), WhatIf.AS_IT_IS);
    assertThat(w.toldApart()).isFalse();
    assertThat(w.reasons())
        .anyMatch(r -> r.startsWith("Inner joint and cooler cannot be told apart"));
    assertThat(w.further())
        .extracting(FurtherReading::what)
        .contains(
            "at a third of the load",
            "of the coolant's temperature",
            "of the lid's temperature in its middle",
            "after fresh paste on the lid, at the same load");
    List<Double> sigmas = w.further().stream().map(FurtherReading::sigmaKelvin).toList();
    assertThat(sigmas).isSorted();
    // The promise holds: with the named reading the interval does get narrower, about as foretold.
    Response now = Solved.of(q.now());
    Unknowns unknowns = new Unknowns(q.now());
    double lid =
        22
            + Calibration.lid(now, unknowns, 200, 22, 0)
                .model()
                .applyAsDouble(w.calibration().likely());
    Weighing more =
        Solved.weigh(
            with(q, List.of(new Reading("a", 200, 22 + rise, 22, null, lid)), List.of()),
            WhatIf.AS_IT_IS);
    double foretold =
        w.further().stream()
            .filter(f -> f.what().startsWith("of the lid"))
            .findFirst()
            .orElseThrow()
            .sigmaKelvin();
    OptionKind best =
        w.options().stream()
            .filter(o -> o.option().possible() && o.option().kind().opens())
            .max(Comparator.comparingDouble(OptionForecast::netCoins))
            .orElseThrow()
            .option()
            .kind();
    double half = more.option(best).gain().width() / 2;
    assertThat(half / 1.2816).isCloseTo(foretold, within(0.2 * foretold));
  }

  @Test
  void twoLoadsTellTheSensorsFromTheRest() {
    Response now = Solved.of(PASTE.now());
    Unknowns unknowns = new Unknowns(PASTE.now());
    double perWatt = now.meanKelvinPerWatt(new double[4]);
    List<Reading> both =
        List.of(
            Reading.plain("full", 150, 22 + 3 + 150 * perWatt, 22),
            Reading.plain("low", 15, 22 + 3 + 15 * perWatt, 22));
    Calibration told = Calibration.of(Calibration.data(now, unknowns, both));
    assertThat(unknowns.sensorsKelvin(told.likely())).isCloseTo(3, within(0.7));
    Calibration one = Calibration.of(Calibration.data(now, unknowns, both.subList(0, 1)));
    assertThat(unknowns.sensorsKelvin(one.likely())).isLessThan(1.5);
  }

  @Test
  void aHollowTooDeepForAFilmIsSaid() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_SOLDER;
    Chip chip = point.chip("x");
    Chip deep = chip.withLid(chip.lid().withCavityMillimetres(0.75));
    Situation now = new Situation(deep, StartingPoint.cooler(), point.asBought());
    Option glued = option(now, OptionKind.METAL_GLUED);
    assertThat(glued.possible()).isFalse();
    assertThat(glued.impossible().orElseThrow())
        .contains("hollow is too deep")
        .contains("240 µm")
        .contains("lid made to measure");
    assertThat(option(now, OptionKind.METAL_LAPPED).possible()).isTrue();
  }

  @Test
  void aluminiumNeverMeetsLiquidMetal() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Cooler plate = Cooler.plain("", 44, 44, 3, Material.ALUMINIUM, 0.11);
    Situation outside = new Situation(point.chip("x"), plate, point.asBought());
    for (OptionKind kind :
        List.of(OptionKind.METAL_ON_LID, OptionKind.BARE, OptionKind.BARE_LAPPED)) {
      assertThat(option(outside, kind).impossible().orElseThrow()).contains("aluminium");
    }
    assertThat(option(outside, OptionKind.METAL_GLUED).possible()).isTrue();
    Chip chip = point.chip("x");
    Lid lid = chip.lid();
    Chip soft =
        new Chip(
            "x",
            "",
            chip.widthMillimetres(),
            chip.depthMillimetres(),
            1.2,
            8,
            chip.dies(),
            new Lid(
                lid.widthMillimetres(),
                lid.depthMillimetres(),
                lid.thicknessMillimetres(),
                lid.cavityMillimetres(),
                lid.rimMillimetres(),
                Material.ALUMINIUM));
    Situation inside = new Situation(soft, StartingPoint.cooler(), point.asBought());
    assertThat(option(inside, OptionKind.METAL_GLUED).impossible().orElseThrow())
        .contains("The lid is aluminium");
    assertThat(option(inside, OptionKind.COPPER_LID).possible()).isTrue();
  }

  @Test
  void aPlateThatCannotComeDownAndADieTooThin() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Situation stiff =
        new Situation(point.chip("x"), CoolerClass.AIR_TOWER.usual("", 1.0), point.asBought());
    assertThat(option(stiff, OptionKind.BARE).impossible().orElseThrow())
        .contains("come down 2.4 mm")
        .contains("allows 1.0 mm");
    StartingPoint thin = StartingPoint.DESKTOP_ONE_DIE_SOLDER;
    Chip chip = thin.chip("x");
    assertThat(
            option(
                    new Situation(lower(chip, 450), StartingPoint.cooler(), thin.asBought()),
                    OptionKind.BARE_LAPPED)
                .impossible()
                .orElseThrow())
        .contains("330 µm");
  }

  private static Chip lower(Chip chip, double height) {
    var d = chip.dies().get(0);
    return new Chip(
        chip.name(),
        "",
        chip.widthMillimetres(),
        chip.depthMillimetres(),
        1.2,
        8,
        List.of(new Die("die", 0, 0, d.widthMillimetres(), d.depthMillimetres(), height, 1)),
        chip.lid());
  }

  @Test
  void withTheLidOffOnlyWhatConcernsItIsLeft() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Build bare = new Build(false, 0, point.asBought().inner(), Joint.usual(Filling.LIQUID_METAL));
    Situation now = new Situation(point.chip("x"), StartingPoint.cooler(), bare);
    assertThat(Weighing.options(at(now), Notation.METRIC))
        .extracting(Option::kind)
        .doesNotContain(OptionKind.METAL_GLUED, OptionKind.BARE, OptionKind.METAL_ON_DIE)
        .contains(OptionKind.METAL_RENEWED);
    assertThat(option(now, OptionKind.BARE_LAPPED).possible()).isTrue();
    Weighing w = Solved.weigh(at(now), WhatIf.AS_IT_IS);
    assertThat(w.option(OptionKind.FRESH_PASTE).gainKelvin()).isNegative();
    assertThat(w.advice().sentence()).doesNotContain("pen it", "opening", "lid on");
  }

  @Test
  void sensorsStayAndOnlyTheJointsShareOfTheSpreadGoes() {
    Response now = Solved.of(PASTE.now());
    double mean = 22 + 150 * now.meanKelvinPerWatt(new double[4]);
    double[] geometry = now.coresKelvinPerWatt(new double[4]);
    List<Double> cores = new ArrayList<>();
    List<Double> idle = new ArrayList<>();
    double[] sensor = {6, -6, 6, -6, 6, -6, 6, -6};
    for (int c = 0; c < 8; c++) {
      cores.add(22 + 150 * geometry[c] + sensor[c]);
      idle.add(22 + 15 * geometry[c] + sensor[c]);
    }
    Reading reading = Reading.plain("a", 150, mean, 22);
    // Two loads: the same pattern at a tenth of the heat can only be the sensors'.
    Weighing both =
        Solved.weigh(
            with(
                PASTE,
                List.of(reading),
                List.of(new Question.Pattern(150, cores), new Question.Pattern(15, idle))),
            WhatIf.AS_IT_IS);
    Weighing one =
        Solved.weigh(
            with(PASTE, List.of(reading), List.of(new Question.Pattern(150, cores))),
            WhatIf.AS_IT_IS);
    OptionForecast kept = both.option(OptionKind.METAL_GLUED);
    OptionForecast hoped = one.option(OptionKind.METAL_GLUED);
    assertThat(both.spreadNowKelvin()).isCloseTo(13.5, within(1.5));
    // The sensors' own 12 K are there whatever is done; a new film can only add to them.
    assertThat(kept.spread().low()).isGreaterThan(11.5);
    assertThat(hoped.spreadKelvin()).isLessThan(kept.spreadKelvin() - 1);
    // Nothing but the load changes with a lower voltage: the sensors' part stays.
    assertThat(both.option(OptionKind.LOWER_VOLTAGE).spreadKelvin())
        .isCloseTo(both.spreadNowKelvin(), within(0.5));
    double sum = both.remainderKelvin().stream().mapToDouble(Double::doubleValue).sum();
    assertThat(sum).isCloseTo(0, within(0.5));
    assertThat(both.remainderKelvin().get(0)).isCloseTo(6, within(0.7));
  }

  @Test
  void aPatternOfOtherCoresIsLeftAside() {
    Weighing w =
        Solved.weigh(
            with(PASTE, List.of(), List.of(new Question.Pattern(150, List.of(60.0, 90.0)))),
            WhatIf.AS_IT_IS);
    assertThat(w.remainderKelvin()).allMatch(r -> r == 0.0);
  }

  @Test
  void costAddsUpAndFollowsTheTerms() {
    OptionForecast f = Solved.weigh(PASTE, WhatIf.AS_IT_IS).option(OptionKind.METAL_GLUED);
    Terms t = Terms.USUAL;
    assertThat(f.coins())
        .isEqualTo(t.toolCoins() + t.metalCoins() + t.pasteCoins() + t.sundryCoins());
    double ruin = 1 - 0.99 * 0.997;
    assertThat(f.ruin()).isCloseTo(ruin, within(1e-12));
    assertThat(f.costCoins()).isCloseTo(f.coins() + 2.5 * 12 + ruin * 300, within(1e-9));
    assertThat(f.kelvinPerCoin()).isCloseTo(f.gainKelvin() / f.costCoins(), within(1e-12));
    OwnRecord clumsy = new OwnRecord(Map.of(Step.OPEN_TOOL, 4), Map.of(Step.OPEN_TOOL, 2));
    Question q = new Question(PASTE.now(), 150, 22, 1, List.of(), List.of(), Terms.USUAL, clumsy);
    assertThat(Solved.weigh(q, WhatIf.AS_IT_IS).option(OptionKind.METAL_GLUED).ruin())
        .isGreaterThan(0.05);
  }

  @Test
  void advertisedMetalConductsBetterAndIsShownBesidePublished() {
    Terms t = Terms.USUAL;
    Terms advertised =
        new Terms(
            t.coinsPerKelvin(),
            t.coinsPerHour(),
            t.coinsPerClockPercent(),
            t.chipCoins(),
            t.pasteCoins(),
            t.metalCoins(),
            t.sundryCoins(),
            t.toolCoins(),
            t.lidCoins(),
            t.frameCoins(),
            t.coolerCoins(),
            t.paperCoins(),
            false,
            true,
            true,
            true,
            5,
            5,
            t.odds(),
            null,
            null,
            null);
    Question q =
        new Question(PASTE.now(), 150, 22, 1, List.of(), List.of(), advertised, OwnRecord.NONE);
    Weighing published = Solved.weigh(PASTE, WhatIf.AS_IT_IS);
    double as = published.option(OptionKind.METAL_GLUED).gainKelvin();
    double claimed = Solved.weigh(q, WhatIf.AS_IT_IS).option(OptionKind.METAL_GLUED).gainKelvin();
    assertThat(claimed).isGreaterThan(as);
    double shown =
        published.option(OptionKind.METAL_GLUED).finding().working().inputs().stream()
            .filter(i -> i.name().contains("as advertised"))
            .findFirst()
            .orElseThrow()
            .value();
    assertThat(shown).isCloseTo(claimed, within(0.25));
    assertThat(PriorTable.METAL.low()).isLessThan(16.5);
    assertThat(PriorTable.METAL.high()).isGreaterThan(26);
  }

  @Test
  void theCoolersLawIsTheOneThatIsStated() {
    assertThat(new WhatIf(1, 1, 0, 2).coolerLogarithm())
        .isCloseTo(-0.6 * Math.log(2), within(1e-12));
    assertThat(new WhatIf(0.5, 0.9, 0, 1).heat()).isCloseTo(0.5 * 0.81, within(1e-12));
  }

  @Test
  void aPlateThatDoesNotReachOverADieIsSaid() {
    StartingPoint point = StartingPoint.DESKTOP_CHIPLETS_SOLDER;
    Cooler small = Cooler.plain("", 18, 18, 3, Material.COPPER, 0.11);
    assertThat(
            option(new Situation(point.chip("x"), small, point.asBought()), OptionKind.BARE)
                .impossible()
                .orElseThrow())
        .isEqualTo("The cold plate does not reach over all of chiplet 1.");
  }

  @Test
  void cautionsStandWithTheOptionsThatNeedThem() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Situation now = new Situation(point.chip("x"), StartingPoint.cooler(), point.asBought());
    assertThat(option(now, OptionKind.FRESH_PASTE).cautions()).isEmpty();
    assertThat(option(now, OptionKind.METAL_ON_LID).cautions())
        .singleElement()
        .asString()
        .startsWith("Liquid metal conducts");
    assertThat(option(now, OptionKind.BARE_LAPPED).cautions()).hasSize(4);
  }

  @Test
  void aStrongerFanHelpsAndTheRoomShiftsTemperaturesOnly() {
    Weighing calm = Solved.weigh(PASTE, WhatIf.AS_IT_IS);
    Weighing windy = Solved.weigh(PASTE, new WhatIf(1, 1, 0, 2));
    assertThat(windy.riseNowKelvin()).isLessThan(calm.riseNowKelvin() - 3);
    Weighing warm = Solved.weigh(PASTE, new WhatIf(1, 1, 8, 1));
    // Silicon conducts a little worse in a warm room.
    assertThat(warm.riseNowKelvin() / calm.riseNowKelvin()).isBetween(1.0, 1.01);
    Detail cool = CloseUp.of(calm, SolveWatch.NONE).now();
    Detail hot = CloseUp.of(warm, SolveWatch.NONE).now();
    assertThat(hot.peakCelsius() - cool.peakCelsius()).isBetween(8.0, 8.5);
    Option bare = calm.option(OptionKind.BARE).option();
    Detail then = CloseUp.of(calm, SolveWatch.NONE).then(bare);
    assertThat(then.peakCelsius()).isLessThan(cool.peakCelsius());
    assertThat(then.ladder().steps()).extracting(Ladder.Step::name).contains("bare joint");
  }

  /** What a slider passes is as exact as what is looked at for itself. */
  @Test
  void aLookUnderAnotherLoadIsThatLoadsOwn() {
    CloseUp calm = CloseUp.of(Solved.weigh(PASTE, WhatIf.AS_IT_IS), SolveWatch.NONE);
    calm.now();
    for (double heat : new double[] {0.4, 1.3, 0.9}) {
      WhatIf load = new WhatIf(heat, 1, 3, 0.7);
      Detail own = CloseUp.of(Solved.weigh(PASTE, load), SolveWatch.NONE).now();
      Detail passed = calm.under(load).now();
      assertThat(passed.watts()).isEqualTo(own.watts());
      assertThat(passed.peakCelsius()).isCloseTo(own.peakCelsius(), within(2e-3));
      assertThat(passed.ladder().totalKelvinPerWatt())
          .isCloseTo(own.ladder().totalKelvinPerWatt(), within(2e-5));
    }
  }

  @Test
  void theSameQuestionGivesTheSameAnswer() {
    assertThat(Solved.weigh(PASTE, WhatIf.AS_IT_IS).option(OptionKind.BARE).gain())
        .isEqualTo(Solved.weigh(PASTE, WhatIf.AS_IT_IS).option(OptionKind.BARE).gain());
  }

  @Test
  void itStopsWhenAskedTo() {
    ExecutorService lanes = Executors.newFixedThreadPool(2);
    try {
      assertThatThrownBy(
              () ->
                  new Responses(lanes)
                      .of(
                          Weighing.situations(PASTE, Notation.METRIC),
                          new SolveWatch(share -> {}, () -> true)))
          .isInstanceOf(CancellationException.class);
    } finally {
      lanes.shutdown();
    }
  }

  @Test
  void readingsByHandAreChecked() {
    assertThat(Reading.checked("a", 150, 70, 22, 30.0, 50.0).lidCelsius()).isEqualTo(50);
    assertThatThrownBy(() -> Reading.checked("a", 0, 70, 22, null, null))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("heat");
    assertThatThrownBy(() -> Reading.checked("a", 150, 20, 22, null, null))
        .hasMessageContaining("does not fit a room");
    assertThatThrownBy(() -> Reading.checked("a", 150, 70, 99, null, null))
        .hasMessageContaining("no room");
    assertThatThrownBy(() -> Reading.checked("a", 150, 70, 22, 90.0, null))
        .hasMessageContaining("coolant");
    assertThatThrownBy(() -> Reading.checked("a", 150, 70, 22, null, 10.0))
        .hasMessageContaining("lid");
  }
}
