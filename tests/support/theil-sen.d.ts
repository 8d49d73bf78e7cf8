/** The package ships no types. */
declare module 'ml-regression-theil-sen' {
  export class TheilSenRegression {
    constructor(x: number[], y: number[]);
    slope: number;
    intercept: number;
    predict(x: number): number;
  }
}
