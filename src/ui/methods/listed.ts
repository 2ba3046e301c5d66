/** What a picture lists with commas between: labels of specimens. */
export function listed(text: unknown): string[] {
  return String(text ?? '')
    .split(',')
    .filter(Boolean);
}

/** The same where each has something of its own, `U1=33.02`; empty where there is nothing. */
export function pairsIn(text: unknown): (readonly [label: string, own: string])[] {
  return listed(text).map((each) => {
    const [label = '', own = ''] = each.split('=');
    return [label, own] as const;
  });
}
