/** What the server uses of jStat, which ships no types. */
declare module 'jstat' {
  interface Normal {
    cdf(x: number, mean: number, sd: number): number
    inv(p: number, mean: number, sd: number): number
  }
  const jStat: { readonly normal: Normal; erfc(x: number): number }
  export default jStat
}
