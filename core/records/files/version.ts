export const FORMAT = 'zevrin';
/** Version of what is written, as a file and in the database of a browser. Every older one is still read. */
export const VERSION = 16;
