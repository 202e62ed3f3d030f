/**
 * The style book: what each style prefers, as data with a reason beside each preference.
 *
 * <p>Styles are JSON documents shipped beside the code; {@link westtide.style.StyleBook} reads them
 * once. The preferences are common practice; no published source.
 */
package westtide.style;
