package dev.ambershim.desktop.widget;

import java.util.Arrays;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The base theme cut down to the controls that the window has. Every node is held against every
 * rule of its kind, and all rules are read before the first window, so that the four fifths of the
 * theme that dress tables, trees, tabs and dates would be paid for at each start.
 */
public final class BaseSheet {
  /** The style classes that the window's controls and their parts carry. */
  private static final Set<String> CARRIED =
      Set.of(
          "root",
          "text",
          "label",
          "mnemonic-underline",
          "button",
          "hyperlink",
          "small",
          "toggle-button",
          "check-box",
          "box",
          "mark",
          "combo-box",
          "combo-box-base",
          "combo-box-popup",
          "arrow",
          "arrow-button",
          "list-view",
          "list-cell",
          "cell",
          "placeholder",
          "virtual-flow",
          "clipped-container",
          "sheet",
          "scroll-pane",
          "viewport",
          "corner",
          "content",
          "scroll-bar",
          "track",
          "thumb",
          "increment-button",
          "decrement-button",
          "increment-arrow",
          "decrement-arrow",
          "text-input",
          "text-field",
          "text-area",
          "slider",
          "progress-bar",
          "bar",
          "tooltip",
          "context-menu",
          "menu-item",
          "scroll-arrow",
          "left-container",
          "right-container",
          "graphic-container",
          "separator",
          "line");

  private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
  private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)\\}");
  private static final Pattern STYLE_CLASS = Pattern.compile("\\.([A-Za-z][\\w-]*)");

  private BaseSheet() {}

  /**
   * A sheet with only those selectors that can match a node of the window.
   *
   * @param css a sheet without at-rules
   */
  public static String cut(String css) {
    StringBuilder kept = new StringBuilder();
    for (MatchResult rule : RULE.matcher(COMMENT.matcher(css).replaceAll("")).results().toList()) {
      String selectors =
          Arrays.stream(rule.group(1).split(",", -1))
              .map(String::strip)
              .filter(BaseSheet::canMatch)
              .collect(Collectors.joining(", "));
      if (!selectors.isEmpty()) {
        kept.append(selectors).append(" {").append(rule.group(2)).append("}\n");
      }
    }
    return kept.toString();
  }

  private static boolean canMatch(String selector) {
    Matcher found = STYLE_CLASS.matcher(selector);
    return found.results().allMatch(c -> CARRIED.contains(c.group(1)));
  }
}
