package dev.ambershim.desktop.widget;

import dev.ambershim.desktop.model.Handbook;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.commonmark.ext.gfm.tables.TableBlock;
import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.ext.gfm.tables.TableRow;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.BulletList;
import org.commonmark.node.Code;
import org.commonmark.node.Emphasis;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.HardLineBreak;
import org.commonmark.node.Heading;
import org.commonmark.node.Image;
import org.commonmark.node.IndentedCodeBlock;
import org.commonmark.node.Link;
import org.commonmark.node.OrderedList;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.StrongEmphasis;
import org.commonmark.parser.Parser;

/** A page of the handbook as nodes: headings, paragraphs, lists, tables, links between pages. */
public final class HandbookText {
  private static final Parser PARSER =
      Parser.builder().extensions(List.of(TablesExtension.create())).build();

  private static final Font LETTERS = Font.font("Lato", FontWeight.BOLD, 14);

  private final Consumer<String> follow;

  private HandbookText(Consumer<String> follow) {
    this.follow = follow;
  }

  /**
   * Reads the handbook and loads what parses it, so that the first page is as quick as the next.
   */
  public static void prepare() {
    Handbook.read().pages().forEach(page -> PARSER.parse(page.markdown()));
  }

  /**
   * The nodes of a page, one below the other.
   *
   * @param follow goes to another page, by the link that was pressed
   */
  public static VBox of(String markdown, Consumer<String> follow) {
    HandbookText text = new HandbookText(follow);
    VBox box = new Column(10);
    text.blocks(PARSER.parse(markdown)).forEach(box.getChildren()::add);
    return box;
  }

  private List<Node> blocks(org.commonmark.node.Node parent) {
    List<Node> nodes = new ArrayList<>();
    for (org.commonmark.node.Node n = parent.getFirstChild(); n != null; n = n.getNext()) {
      block(n, nodes);
    }
    return nodes;
  }

  private void block(org.commonmark.node.Node n, List<Node> to) {
    if (n instanceof Heading heading) {
      TextFlow flow = flow(n);
      flow.getStyleClass().add(heading.getLevel() == 1 ? "page-title" : "page-heading");
      to.add(flow);
    } else if (n instanceof Paragraph) {
      // A picture is shown in its own place in the window; here it would be small and old.
      if (!(n.getFirstChild() instanceof Image && n.getFirstChild().getNext() == null)) {
        TextFlow flow = flow(n);
        // The question that a page answers stands under its title.
        boolean lead = n.getFirstChild() instanceof Emphasis && n.getFirstChild().getNext() == null;
        if (lead) {
          flow.getStyleClass().add("page-lead");
        }
        to.add(flow);
      }
    } else if (n instanceof BulletList || n instanceof OrderedList) {
      list(n, to);
    } else if (n instanceof TableBlock) {
      to.add(table(n));
    } else if (n instanceof FencedCodeBlock code) {
      to.add(code(code.getLiteral()));
    } else if (n instanceof IndentedCodeBlock code) {
      to.add(code(code.getLiteral()));
    } else {
      to.addAll(blocks(n));
    }
  }

  private void list(org.commonmark.node.Node list, List<Node> to) {
    int number = 0;
    for (org.commonmark.node.Node item = list.getFirstChild();
        item != null;
        item = item.getNext()) {
      number++;
      VBox body = new Column(4);
      body.getChildren().addAll(blocks(item));
      HBox.setHgrow(body, Priority.ALWAYS);
      Label sign = Labels.line(list instanceof OrderedList ? number + "." : "•", "quiet");
      sign.setMinWidth(18);
      to.add(new Strip(6, sign, body));
    }
  }

  private static Node code(String literal) {
    Label label = Labels.line(literal.stripTrailing(), "page-code");
    label.setMaxWidth(Double.MAX_VALUE);
    return label;
  }

  private Node table(org.commonmark.node.Node block) {
    GridPane grid = new GridPane();
    grid.getStyleClass().add("page-table");
    int row = 0;
    for (org.commonmark.node.Node part = block.getFirstChild();
        part != null;
        part = part.getNext()) {
      for (org.commonmark.node.Node r = part.getFirstChild(); r != null; r = r.getNext()) {
        if (r instanceof TableRow) {
          int column = 0;
          for (org.commonmark.node.Node c = r.getFirstChild(); c != null; c = c.getNext()) {
            TextFlow flow = flow(c);
            if (((TableCell) c).isHeader()) {
              flow.getStyleClass().add("page-strong");
            }
            // A column may be narrow, but not so narrow that it breaks its words.
            flow.setMinWidth(Words.longest(said(flow), LETTERS));
            GridPane.setHgrow(flow, Priority.ALWAYS);
            grid.add(flow, column++, row);
          }
          row++;
        }
      }
    }
    return grid;
  }

  private static String said(TextFlow flow) {
    StringBuilder said = new StringBuilder();
    flow.getChildren()
        .forEach(
            part -> {
              if (part instanceof Text text) {
                said.append(text.getText());
              }
            });
    return said.toString();
  }

  private TextFlow flow(org.commonmark.node.Node parent) {
    TextFlow flow = new TextFlow();
    spans(parent, flow, "page-text");
    return flow;
  }

  private void spans(org.commonmark.node.Node parent, TextFlow to, String style) {
    for (org.commonmark.node.Node n = parent.getFirstChild(); n != null; n = n.getNext()) {
      if (n instanceof org.commonmark.node.Text text) {
        add(to, text.getLiteral(), style);
      } else if (n instanceof Code code) {
        add(to, code.getLiteral(), "page-code-span");
      } else if (n instanceof SoftLineBreak || n instanceof HardLineBreak) {
        add(to, " ", style);
      } else if (n instanceof StrongEmphasis) {
        spans(n, to, "page-strong");
      } else if (n instanceof Emphasis) {
        spans(n, to, "page-emphasis");
      } else if (n instanceof Link link) {
        to.getChildren().add(link(link));
      } else if (!(n instanceof Image)) {
        spans(n, to, style);
      }
    }
  }

  private Node link(Link link) {
    StringBuilder words = new StringBuilder();
    for (org.commonmark.node.Node n = link.getFirstChild(); n != null; n = n.getNext()) {
      if (n instanceof org.commonmark.node.Text text) {
        words.append(text.getLiteral());
      } else if (n instanceof Code code) {
        words.append(code.getLiteral());
      }
    }
    Hyperlink there = new Hyperlink(words.toString());
    there.getStyleClass().add("page-link");
    there.setOnAction(e -> follow.accept(link.getDestination()));
    return there;
  }

  private static void add(TextFlow to, String words, String style) {
    Text text = new Text(words);
    text.getStyleClass().add(style);
    to.getChildren().add(text);
  }
}
