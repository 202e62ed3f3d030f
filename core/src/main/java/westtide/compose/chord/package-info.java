/** Progressions, and what may come next. */
package westtide.compose.chord;
