import { answering } from '@/server/http';
import { signInService } from '@/server/sign-in';

/** Signing in and out; nothing else of the sign-in service is reachable. */
export function POST(request: Request): Promise<Response> {
  return answering(async () => signInService(request));
}
