/**
 * The door to drafting: a style and wishes become a whole song, arranged and levelled. Windows, the
 * command line and measurements all come in here; {@code westtide.compose} makes what it asks for.
 */
package westtide.draft;
