/** Stands in for parts of a library that are not used. */
export default {};
