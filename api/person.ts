/** The cookie in which a browser keeps the name of who works at it. */
export const personCookie = 'clever-shelf-person';
