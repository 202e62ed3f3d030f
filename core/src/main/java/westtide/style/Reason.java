package westtide.style;

/**
 * A preference of a style in words.
 *
 * @param topic what it is about, such as "Tempo"
 * @param habit the preference
 * @param why the reason, one sentence
 */
public record Reason(String topic, String habit, String why) {}
