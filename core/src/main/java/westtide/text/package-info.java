/** What becomes of a line a person typed: a value, or a problem that points at a column. */
package westtide.text;
