import { database } from '@/db/client';
import { auth } from '@/server/auth';
import { mayAttempt } from '@/server/sign-in-limit';

async function handle(request: Request): Promise<Response> {
  if (request.method === 'POST' && new URL(request.url).pathname.endsWith('/sign-in/email')) {
    const body = (await request
      .clone()
      .json()
      .catch(() => null)) as { email?: unknown } | null;
    if (!(await mayAttempt(database(), String(body?.email ?? ''), Date.now()))) {
      return Response.json({ message: 'Too many attempts. Wait a minute, then try again.' }, { status: 429 });
    }
  }
  return auth().handler(request);
}

export { handle as GET, handle as POST };
