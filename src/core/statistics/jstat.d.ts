/** The part of the library that is used here; it ships no types of its own. */
declare module 'jstat' {
  const library: {
    readonly jStat: {
      readonly studentt: { inv(p: number, df: number): number; cdf(x: number, df: number): number };
      ibeta(x: number, a: number, b: number): number;
    };
  };
  export default library;
}
