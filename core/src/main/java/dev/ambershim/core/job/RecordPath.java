package dev.ambershim.core.job;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;

/**
 * A place inside nested records and lists, such as {@code chip.dies.0.heightMicrometres}, that can
 * be read and replaced. Records stay immutable: replacing gives a new root.
 */
public final class RecordPath {
  private final List<String> steps;

  /** A path such as {@code "chip.dies.0.widthMillimetres"}. */
  public RecordPath(String path) {
    steps = List.of(path.split("\\.", -1));
  }

  /** What stands at the path. */
  public Object get(Object root) {
    Object here = root;
    for (String step : steps) {
      here = child(here, step);
    }
    return here;
  }

  /** The root with something else at the path. */
  public <T> T with(T root, Object value) {
    @SuppressWarnings("unchecked")
    T changed = (T) replaced(root, 0, value);
    return changed;
  }

  private static Object child(Object parent, String step) {
    if (parent instanceof List<?> list) {
      return list.get(Integer.parseInt(step));
    }
    for (RecordComponent c : parent.getClass().getRecordComponents()) {
      if (c.getName().equals(step)) {
        return read(parent, c);
      }
    }
    throw new IllegalArgumentException("no " + step + " in " + parent.getClass().getSimpleName());
  }

  private Object replaced(Object parent, int depth, Object value) {
    if (depth == steps.size()) {
      return value;
    }
    String step = steps.get(depth);
    Object inner = replaced(child(parent, step), depth + 1, value);
    if (parent instanceof List<?> list) {
      List<Object> copy = new ArrayList<>(list);
      copy.set(Integer.parseInt(step), inner);
      return List.copyOf(copy);
    }
    RecordComponent[] components = parent.getClass().getRecordComponents();
    Class<?>[] types = new Class<?>[components.length];
    Object[] arguments = new Object[components.length];
    for (int i = 0; i < components.length; i++) {
      types[i] = components[i].getType();
      arguments[i] = components[i].getName().equals(step) ? inner : read(parent, components[i]);
    }
    try {
      return parent.getClass().getDeclaredConstructor(types).newInstance(arguments);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  private static Object read(Object parent, RecordComponent component) {
    try {
      return component.getAccessor().invoke(parent);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException(e);
    }
  }
}
