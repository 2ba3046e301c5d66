import type { Method } from './contract';
import { withPress } from './press/with-press';
import { withStanding } from './standing';

/** A method with all that holds for every test alike, as the registry and the benches take it. */
export function complete(method: Method): Method {
  return withStanding(withPress(method));
}
