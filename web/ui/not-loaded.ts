/** A part of the program that did not arrive. */
export class NotLoaded extends Error {}
