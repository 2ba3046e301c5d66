/** The part of the reference library that the tests use; it ships no types. */
declare module 'psychrolib' {
  const library: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    /** Pa, from °C and a humidity of 0 to 1. */
    GetVapPresFromRelHum(celsius: number, humidity: number): number;
    GetTDewPointFromRelHum(celsius: number, humidity: number): number;
  };
  export default library;
}
