import { asksForKeys } from './asksForKeys';

const NAMES = ['KEYS', 'LISTENS_AT', 'PUBLIC_URL', 'ALLOWED_HOSTS'] as const;

it.each([
  [{}, false],
  [{ LISTENS_AT: '127.0.0.1' }, false],
  [{ LISTENS_AT: '::1', PUBLIC_URL: 'http://localhost:3000' }, false],
  [{ LISTENS_AT: '127.0.0.1', KEYS: 'ask' }, true],
  [{ LISTENS_AT: '0.0.0.0' }, true],
  [{ LISTENS_AT: '::' }, true],
  [{ LISTENS_AT: '192.168.1.20' }, true],
  // A proxy on the same machine: who comes from elsewhere comes by the name.
  [{ LISTENS_AT: '127.0.0.1', PUBLIC_URL: 'https://pantry.example' }, true],
  [{ LISTENS_AT: '127.0.0.1', ALLOWED_HOSTS: 'localhost, pantry.lan' }, true],
  [{ LISTENS_AT: '127.0.0.1', ALLOWED_HOSTS: '127.0.0.1.pantry.example' }, true],
])('%o asks for keys: %s', (env, asks) => {
  const before = { ...process.env };
  for (const name of NAMES) delete process.env[name];
  Object.assign(process.env, env);
  expect(asksForKeys()).toBe(asks);
  process.env = before;
});
