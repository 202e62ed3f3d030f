/** The crate: invented loops made of the style books, which stand in for a library of records. */
package westtide.crate;
