import { startServer } from '../e2e/support/server';

// Kills the server while it saves, again and again, and looks whether anything it had acknowledged is lost.
// usage: npm run -s kill-saves [-- TIMES]; wants a build (`npx next build`).

const times = Number(process.argv[2] ?? 200);
const ID = 'alongside-wind-off';

interface Kept {
  readonly revision: number;
  readonly manoeuvre: Record<string, unknown>;
}

const server = await startServer();
const address = () => `${server.address}/api/manoeuvres/${ID}`;
const kept = async () => (await (await fetch(address())).json()) as Kept;

let acknowledged = 0;
let saves = 0;
let lost = 0;
let inFlight = 0;
for (let round = 1; round <= times; round++) {
  const opened = await kept();
  const { manoeuvre } = opened;
  let { revision } = opened;
  if (acknowledged > 0) {
    // What was on its way when the server died may have come through, or not; nothing before it may be gone.
    const found = Number(manoeuvre.note);
    if (found === acknowledged + 1) inFlight += 1;
    else if (found !== acknowledged) {
      lost += 1;
      console.log(`round ${round}: acknowledged save ${acknowledged}, found ${found}`);
    }
    acknowledged = found;
  }
  const end = Date.now() + 20 + ((round * 37) % 280);
  let killed: Promise<void> | null = null;
  for (let on = true; on;) {
    const next = acknowledged + 1;
    const body = JSON.stringify({ revision, manoeuvre: { ...manoeuvre, note: String(next) } });
    const sent = fetch(address(), {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body,
    });
    if (Date.now() >= end) killed = server.kill();
    try {
      const answer = await sent;
      if (!answer.ok) throw new Error(`refused: ${await answer.text()}`);
      ({ revision } = (await answer.json()) as { revision: number });
      acknowledged = next;
      saves += 1;
    } catch (error) {
      if (error instanceof Error && error.message.startsWith('refused')) throw error;
    }
    on = killed === null;
  }
  await killed;
  await server.again();
  if (round % 20 === 0)
    console.log(`${round} times killed, ${saves} saves acknowledged, ${lost} lost`);
}
const last = Number((await kept()).manoeuvre.note);
if (last < acknowledged) lost += 1;
await server.close();
console.log(
  `killed ${times} times during saves: ${saves} acknowledged, ${lost} lost, ${inFlight} on their way came through`,
);
process.exit(lost === 0 ? 0 : 1);
