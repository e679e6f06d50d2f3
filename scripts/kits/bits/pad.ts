/** The margin round everything drawn here, pixels. */
export const PAD = 10;
