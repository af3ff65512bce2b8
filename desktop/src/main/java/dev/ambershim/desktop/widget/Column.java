package dev.ambershim.desktop.widget;

import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** Nodes one below the other, which are measured again only when one of them changed. */
public class Column extends VBox {
  private final Heights heights = new Heights();

  /** An empty column without gaps. */
  public Column() {}

  /** An empty column. */
  public Column(double spacing) {
    super(spacing);
  }

  /** A column of nodes. */
  public Column(double spacing, Node... nodes) {
    super(spacing, nodes);
  }

  /** A column of nodes without gaps. */
  public Column(Node... nodes) {
    super(nodes);
  }

  @Override
  public void requestLayout() {
    Heights.forget(heights);
    super.requestLayout();
  }

  @Override
  protected double computePrefHeight(double width) {
    return heights.best(width, super::computePrefHeight);
  }

  @Override
  protected double computeMinHeight(double width) {
    return heights.least(width, super::computeMinHeight);
  }
}
