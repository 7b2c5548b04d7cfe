/** The browser's database. */
export const DATABASE = 'fine-kerf'
