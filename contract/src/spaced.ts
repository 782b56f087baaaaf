/** The name of a kind as it reads in a description: `soilTests` is "soil tests". */
export const spaced = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
