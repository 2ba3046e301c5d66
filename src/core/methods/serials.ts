/** A serial number as its beginning and its running number: `RH-0412`. */
const SERIAL = /^(?<head>.*?)(?<number>\d{1,12})$/u;
const RANGE = /^(?<from>.+?)\s+(?:to|–|-)\s+(?<to>.+)$/u;

interface Span {
  readonly head: string;
  readonly from: number;
  readonly to: number;
}

function oneOf(text: string): { readonly head: string; readonly number: number } | undefined {
  const found = SERIAL.exec(text.trim())?.groups;
  return found ? { head: (found.head ?? '').toLowerCase(), number: Number(found.number) } : undefined;
}

function spanOf(part: string): Span | undefined {
  const range = RANGE.exec(part)?.groups;
  const [from, to] = [oneOf(range?.from ?? part), oneOf(range?.to ?? part)];
  // `RH-0400 to 0460`: the beginning is said once.
  const alike = from && to && (to.head === from.head || to.head === '');
  return alike && from.number <= to.number
    ? { head: from.head, from: from.number, to: to.number }
    : undefined;
}

const partsOf = (text: string): string[] =>
  text
    .split(/[,;\n]/u)
    .map((part) => part.trim())
    .filter(Boolean);

/** What keeps a list of serial numbers from being read, in words; undefined where nothing does. @param text `RH-0400 to RH-0460, RH-0475` */
export function serialsProblem(text: string): string | undefined {
  const bad = partsOf(text).find((part) => !spanOf(part));
  return bad === undefined ? undefined : `"${bad}" is no serial number and no range as RH-0400 to RH-0460.`;
}

/** True where a list of serial numbers has one of them. @param serials as `serialsProblem` takes it */
export function hasSerial(serials: string, serial: string): boolean {
  const own = oneOf(serial);
  return (
    own !== undefined &&
    partsOf(serials).some((part) => {
      const span = spanOf(part);
      return span?.head === own.head && span.from <= own.number && own.number <= span.to;
    })
  );
}
