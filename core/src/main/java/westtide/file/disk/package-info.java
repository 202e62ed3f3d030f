/**
 * The disk: what is written is written whole or not at all, flushed, and never two at once. Names
 * and contents go in; what the disk refuses comes out as a sentence for the person.
 */
package westtide.file.disk;
