/** What an address says, name by name, cut to what a value can be; what stands there twice says nothing. */
export function saidIn(
  params: Readonly<Record<string, string | string[] | undefined>>,
): Readonly<Record<string, string>> {
  return Object.fromEntries(
    Object.entries(params).flatMap(([name, text]) =>
      typeof text === 'string' ? [[name, text.slice(0, 40)]] : [],
    ),
  );
}
