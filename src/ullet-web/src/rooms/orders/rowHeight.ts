/** Of a row of the book, pixels. */
export const ROW_HEIGHT = 46;
