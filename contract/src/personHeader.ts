/** The request header that says who is acting. */
export const PERSON_HEADER = 'el-person';

/** The request header that says of which edit a change is part: changes with the same are taken back together. */
export const EDIT_HEADER = 'el-edit';
