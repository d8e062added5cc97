/** Standard gravity, m/s². By definition (CGPM 1901). */
const GRAVITY = 9.80665;
/** Times body weight that the ground pushes back in running (handbook 02, published range). */
const TIMES_BODY_WEIGHT = { least: 2, most: 3 } as const;

/**
 * Force from the ground in running, in newtons, rounded to tens: two to three times body weight. It is no joint force; larger
 * figures that are in circulation are nearer the loads of tendons and joints.
 *
 * @param massKg body mass in kilograms
 * @example groundForce(70) // { least: 1370, most: 2060 }
 */
export function groundForce(massKg: number): { least: number; most: number } {
  const newtons = (times: number) => Math.round((times * massKg * GRAVITY) / 10) * 10;
  return { least: newtons(TIMES_BODY_WEIGHT.least), most: newtons(TIMES_BODY_WEIGHT.most) };
}

/** The same in words, with what it is not. */
export function groundForceInWords(massKg: number | null): string {
  if (massKg === null) return sentence('2–3 times body weight');
  const { least, most } = groundForce(massKg);
  const figure = (newtons: number) => newtons.toLocaleString('en');
  return sentence(`${figure(least)}–${figure(most)} N at ${massKg} kg, 2–3 times body weight`);
}

const sentence = (size: string): string =>
  `Running loads a foot from the ground with about ${size}. Six or seven times, as is often said, is nearer what tendons and joints carry inside the leg.`;
