/** What a person who follows a press is sent: from the device's own stamp to the arrival here, milliseconds. */
async function delaysOf(base: string, cookie: string, press: string, seconds: number): Promise<number[]> {
  const control = new AbortController();
  const answer = await fetch(`${base}/api/press/${press}`, { headers: { cookie }, signal: control.signal });
  const reader = answer.body?.getReader();
  if (!answer.ok || !reader) throw new Error(`${press}: ${answer.status}`);
  const delays: number[] = [];
  const until = performance.now() + seconds * 1000;
  let text = '';
  while (performance.now() < until) {
    const { value, done } = await reader.read();
    if (done) throw new Error(`${press}: the stream ended`);
    const arrived = Date.now();
    text += new TextDecoder().decode(value);
    const events = text.split('\n\n');
    text = events.pop() ?? '';
    for (const event of events) {
      const data = /^data: (.*)$/mu.exec(event)?.[1];
      const { lines = [] } = data ? JSON.parse(data) : {};
      for (const { at } of lines as { at: number }[]) delays.push(arrived - at);
    }
  }
  control.abort();
  return delays;
}

function told(name: string, delays: readonly number[]): string {
  const sorted = delays.toSorted((a, b) => a - b);
  const share = (part: number): number => sorted[Math.floor(part * (sorted.length - 1))] ?? 0;
  return `${name}: ${delays.length} readings, half within ${share(0.5)} ms, 95 % within ${share(0.95)} ms, the slowest ${share(1)} ms\n`;
}

/**
 * How long a reading of a press takes to whoever follows it, while nothing else is asked of the application and while
 * its largest pages are drawn one after the other.
 * @param pages what is asked for meanwhile
 * @returns two lines to print
 */
export async function measureLive(base: string, cookie: string, pages: readonly string[]): Promise<string> {
  const press = 'PR-01';
  // What the device remembers comes first and at once: it is no delay.
  await delaysOf(base, cookie, press, 1);
  const quiet = await delaysOf(base, cookie, press, 6);
  let drawing = true;
  let drawn = 0;
  const load = (async () => {
    while (drawing)
      for (const page of pages) {
        await (await fetch(`${base}${page}`, { headers: { cookie } })).arrayBuffer();
        drawn += 1;
      }
  })();
  const busy = await delaysOf(base, cookie, press, 20);
  drawing = false;
  await load;
  return `${told('live press, quiet', quiet)}${told(`live press, while ${drawn} pages are drawn`, busy)}`;
}
