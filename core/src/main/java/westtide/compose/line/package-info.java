/** Melodies: a sketch of rhythm and plan, notes for it, variations, lines beside them. */
package westtide.compose.line;
