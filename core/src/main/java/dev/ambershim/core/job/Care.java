package dev.ambershim.core.job;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A chip in use after the work.
 *
 * @param checks its dated readings, the oldest first
 * @param events what happened to it, the oldest first
 * @param found what was found on opening it again, the oldest first
 * @param limitCelsius what the mean of its cores should not reach; null takes what {@link
 *     CareFigures#limitCelsius} says
 * @param checkMonths months from one check to the next
 * @param ownJoints how the person's own joints of that filling aged on other chips, if the forecast
 *     reckons with them
 * @param clockLossPercent how far the clock may fall before it is opened, %; null for not at all
 * @param louderDecibels how much louder the fans may get before it is opened, dB; null for not
 */
@RecordBuilder
public record Care(
    List<KeptCheck> checks,
    List<CareEvent> events,
    List<Found> found,
    Double limitCelsius,
    Double checkMonths,
    List<OwnJoint> ownJoints,
    Double clockLossPercent,
    Double louderDecibels)
    implements CareBuilder.With {
  /** What has no day is refused later, not here. */
  private static final Comparator<LocalDate> FIRST =
      Comparator.nullsFirst(Comparator.naturalOrder());

  /** Nothing yet; a check every three months is common practice. */
  public static final Care NONE =
      new Care(List.of(), List.of(), List.of(), null, 3.0, List.of(), null, null);

  /** Sorts its lists, and fills in what an older job does not say. */
  public Care {
    checks =
        (checks == null ? List.<KeptCheck>of() : checks)
            .stream().sorted(Comparator.comparing(KeptCheck::date, FIRST)).toList();
    events =
        (events == null ? List.<CareEvent>of() : events)
            .stream().sorted(Comparator.comparing(CareEvent::date, FIRST)).toList();
    found =
        (found == null ? List.<Found>of() : found)
            .stream().sorted(Comparator.comparing(Found::date, FIRST)).toList();
    checkMonths = checkMonths == null ? 3.0 : checkMonths;
    ownJoints = ownJoints == null ? List.of() : ownJoints.stream().filter(OwnJoint::sound).toList();
  }

  /** With one more check. */
  public Care with(KeptCheck check) {
    List<KeptCheck> all = new ArrayList<>(checks);
    all.add(check);
    return withChecks(all);
  }

  /** Without the check at a place. */
  public Care withoutCheck(int index) {
    List<KeptCheck> all = new ArrayList<>(checks);
    all.remove(index);
    return withChecks(all);
  }

  /** With one more event. */
  public Care with(CareEvent event) {
    List<CareEvent> all = new ArrayList<>(events);
    all.add(event);
    return withEvents(all);
  }

  /** Without the event at a place. */
  public Care withoutEvent(int index) {
    List<CareEvent> all = new ArrayList<>(events);
    all.remove(index);
    return withEvents(all);
  }

  /** With what was found on one more opening. */
  public Care with(Found opening) {
    List<Found> all = new ArrayList<>(found);
    all.add(opening);
    return withFound(all);
  }

  /** Without the opening at a place. */
  public Care withoutFound(int index) {
    List<Found> all = new ArrayList<>(found);
    all.remove(index);
    return withFound(all);
  }

  /**
   * When the joint was made that an opening found: the last renewal before it, else the first check
   * of the state after the work; null where neither is known.
   */
  public LocalDate madeBefore(Found opening) {
    LocalDate made = null;
    for (CareEvent event : events) {
      if (event.kind() == CareEvent.Kind.RENEWED && event.date().isBefore(opening.date())) {
        made = event.date();
      }
    }
    for (KeptCheck check : checks) {
      if (made == null && check.state().isEmpty() && check.date().isBefore(opening.date())) {
        made = check.date();
      }
    }
    return made;
  }
}
