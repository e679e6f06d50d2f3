/** A change that was not made, and why, in a sentence for a person. */
export class Refused extends Error {}
