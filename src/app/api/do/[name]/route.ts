import 'reflect-metadata';
import { database } from '@/db/client';
import { NotFound } from '@/server/errors';
import { answering, ownJson } from '@/server/http';
import { perform } from '@/server/perform';
import { findUseCase } from '@/server/registry';
import { requireActor } from '@/server/session';

/** Carries out one use case. The right, the fields and the rules are checked behind this door, never before it. */
export function POST(request: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  return answering(async () => {
    const actor = await requireActor(request.headers);
    const useCase = findUseCase((await params).name);
    if (!useCase) throw new NotFound('This action');
    const data = await ownJson(request);
    const result = await perform(database(), actor, useCase, data);
    return Response.json(result ?? {}, { headers: { 'cache-control': 'no-store' } });
  });
}
