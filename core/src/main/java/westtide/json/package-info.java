/**
 * What stands in a JSON document, said once for both ways: a {@link westtide.json.Shape} writes and
 * reads one kind of value. Records are matched by the names of their components, sealed types by
 * what they permit, so that nothing can be added to either and be left out of the file.
 */
package westtide.json;
