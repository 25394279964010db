/**
 * How many NOTs a query may have. Each takes away from all that stands before it, so that they nest as parentheses do;
 * what nests without bound exhausts the stack of whoever reads it.
 */
export const MAX_NOTS = 200;
export const TOO_MANY_NOTS = `There are more than ${MAX_NOTS} NOTs. Leave out several things with one: a NOT (b OR c).`;
