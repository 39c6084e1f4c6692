declare module 'jstat' {
  const jstat: {
    /** Student's t distribution. */
    readonly studentt: {
      /** The value below which a share of it lies. */
      readonly inv: (share: number, degreesOfFreedom: number) => number;
    };
  };
  export default jstat;
}
