package westtide.review.lines;

/** One thing that can be wrong with a line where it is heard. A check has a class. */
interface LineCheck {
  /** Tells what is wrong with a passage of a line. */
  void look(HeardLine line, FoundOnce out);
}
