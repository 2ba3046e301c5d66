/** Stands where a browser has no Buffer: nothing that runs there asks for one. */
export const Buffer = undefined;
