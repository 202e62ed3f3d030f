/**
 * The song file and what stands beside it: styles, unsaved work, versions, locks, and the names of
 * all files that are written.
 *
 * <p>Every file is written beside its place and moved into it, so that an old file is replaced
 * whole or not at all. Other ways out and in have packages of their own.
 */
package westtide.file;
