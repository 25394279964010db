/** The request header that says who is acting. */
export const PERSON_HEADER = 'el-person';
