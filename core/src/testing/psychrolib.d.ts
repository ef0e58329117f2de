/** The part of psychrolib (untyped) that the tests use. */
declare module 'psychrolib' {
  const library: { SI: number; SetUnitSystem(system: number): void; GetSatVapPres(temperatureC: number): number };
  export default library;
}
