/** Found sound in the document: recordings, where they are from, their pieces, how they fit. */
package westtide.song.found;
