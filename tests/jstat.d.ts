declare module 'jstat' {
  const jstat: { readonly studentt: { inv(p: number, dof: number): number } }
  export default jstat
}
