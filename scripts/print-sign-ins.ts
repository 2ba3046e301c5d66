import { DEMO_PASSWORD, PEOPLE } from '../src/demo/scenario';

const lines = PEOPLE.map(({ email, role, name }) => `    ${email.padEnd(28)} ${role.padEnd(11)} ${name}`);
process.stdout.write(`
  Bricole is at ${process.env.BRICOLE_URL}

  Demo sign-ins, all with the password ${DEMO_PASSWORD}
${lines.join('\n')}

  Ctrl-C stops it. The data stays; npm run reset empties it.
`);
