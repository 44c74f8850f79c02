/** The wish that the page chooses how many things are open. */
export const BY_THE_PAGE = 'by the page';
