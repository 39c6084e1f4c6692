declare module 'jstat' {
  const jstat: {
    /** Student's t distribution. */
    readonly studentt: {
      /** The value below which a share of it lies. */
      readonly inv: (share: number, degreesOfFreedom: number) => number;
    };
    /** The normal distribution. */
    readonly normal: {
      /** The value below which a share of it lies. */
      readonly inv: (share: number, mean: number, sd: number) => number;
    };
  };
  export default jstat;
}
