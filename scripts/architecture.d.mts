/** The folders of the code and what they import, as SVG. */
export function drawing(): string;
