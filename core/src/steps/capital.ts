/** A sentence or a heading begins with a capital. */
export const capital = (text: string): string => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`;
