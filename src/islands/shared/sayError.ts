/** What an error says of itself, to stand in a sentence for a person. */
export const sayError = (error: unknown): string =>
  error instanceof Error ? error.message : String(error);
