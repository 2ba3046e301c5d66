/**
 * The clock of a device, watched: its wall clock may be set while stamps are being taken, its steady counter never
 * runs backwards but may stand still while it sleeps. All ms.
 */
export interface DeviceClock {
  /** What is added to the wall clock to have the time that counts. */
  readonly offset: number;
  readonly wall: number;
  readonly steady: number;
  /** False while the wall clock has jumped ahead and nobody has said whether it was set or the device slept. */
  readonly sure: boolean;
}

/** A difference that timers alone can make. */
const SLACK_MS = 2000;

/** A device’s clock as it is first seen, taken at its word. */
export function watchClock(wall: number, steady: number): DeviceClock {
  return { offset: 0, wall, steady, sure: true };
}

/**
 * The clock at a later look. Set back, it is recognised without a server: the time that counts goes on. Ahead, it may
 * have been set or the device may have slept: the wall clock is followed until the server has been asked.
 */
export function lookAgain(clock: DeviceClock, wall: number, steady: number): DeviceClock {
  const jump = wall - clock.wall - (steady - clock.steady);
  if (jump < -SLACK_MS) return { offset: clock.offset - jump, wall, steady, sure: false };
  if (jump > SLACK_MS) return { ...clock, wall, steady, sure: false };
  return { ...clock, wall, steady };
}

/**
 * The clock after the server was asked for its time.
 * @param sent wall clock when the question left
 * @param received wall clock when the answer came
 * @param server time on the server when it answered
 * @param bearable difference that is let stand, ms
 */
export function askedServer(
  clock: DeviceClock,
  sent: number,
  received: number,
  server: number,
  bearable: number,
): DeviceClock {
  const difference = server - (sent + received) / 2;
  return { ...clock, offset: Math.abs(difference) > bearable ? Math.round(difference) : 0, sure: true };
}
