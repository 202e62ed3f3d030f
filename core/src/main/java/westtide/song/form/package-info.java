/**
 * The form: sections in their order, what each part does in them, and what announces or lands a
 * section.
 */
package westtide.song.form;
