/** Larger than any sheet, book or backup of years; what is larger is refused before it is read (house value). */
export const mostBytes = 64 * 1024 * 1024;
