/** Builds what is out of date; returns whether anything was built. */
export function build(): Promise<boolean>;
