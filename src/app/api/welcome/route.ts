import 'reflect-metadata';
import { IsString, MaxLength } from 'class-validator';
import { validated } from '@/core/methods';
import { database } from '@/db/client';
import { Invalid } from '@/server/errors';
import { answering, ownJson } from '@/server/http';
import { acceptInvitation } from '@/server/invitations';
import { addressOf } from '@/server/sign-in';

class WelcomeInput {
  @IsString() @MaxLength(100) secret: string;
  @IsString({ message: 'Type a password.' }) @MaxLength(200) password: string;
}

/** Sets the password of who was invited: the one thing that is done without being signed in. */
export function POST(request: Request): Promise<Response> {
  return answering(async () => {
    const input = validated(WelcomeInput, await ownJson(request), { strict: true });
    if (!input.ok) throw new Invalid(input.errors);
    const { secret, password } = input.value;
    const address = addressOf(request.headers);
    const done = await acceptInvitation(database(), { secret, password, address }, new Date());
    return Response.json(done, { headers: { 'cache-control': 'no-store' } });
  });
}
