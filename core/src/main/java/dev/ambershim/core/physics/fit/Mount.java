package dev.ambershim.core.physics.fit;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How the cooler is held down. What is not known stays empty.
 *
 * @param travelMillimetres how far its bracket could still come down from where it sits on the lid,
 *     until it stands on its standoffs
 * @param screws how many screws or springs
 * @param springNewtonsPerMillimetre rate of one spring
 * @param squeezeMillimetres how far a spring is pressed together with the lid on
 * @param threadMillimetres a screw's nominal diameter
 * @param engagedMillimetres length of thread engaged with the lid on
 * @param softThread whether the thread is in aluminium or brass
 */
@RecordBuilder
public record Mount(
    Double travelMillimetres,
    Integer screws,
    Double springNewtonsPerMillimetre,
    Double squeezeMillimetres,
    Double threadMillimetres,
    Double engagedMillimetres,
    boolean softThread)
    implements MountBuilder.With {
  /** Nothing is known. */
  public static final Mount UNKNOWN = new Mount(null, null, null, null, null, null, false);
}
