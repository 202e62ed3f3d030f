package westtide.desktop;

/** The entry of the application. */
public final class Main {
  private Main() {}

  /** Starts the window. */
  public static void main(String[] words) {}
}
