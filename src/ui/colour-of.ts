/** A colour of the page by its token, for what draws without style sheets: charts, meshes. */
export const colourOf = (token: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(token).trim();
