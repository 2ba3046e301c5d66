import {
  ArrayMinSize,
  IsArray,
  IsIn,
  IsNotEmpty,
  IsOptional,
  IsString,
  IsUUID,
  MaxLength,
} from 'class-validator';
import { and, eq, isNull } from 'drizzle-orm';
import { IsDay } from '@/core/methods';
import { METHODS } from '@/core/methods/registry';
import { dueOn } from '@/core/windows';
import { cards, people } from '@/db/schema';
import { Conflict, NotFound } from '../errors';
import { limitsNow } from '../run-setup';
import { defineUseCase, MANAGERS, refuseFields } from '../use-case';

/** The tests that acceptance asks a certified technician for. */
export const CARD_METHODS: readonly string[] = METHODS.filter(({ needsCard }) => needsCard).map(
  ({ id }) => id,
);

export class AddCardInput {
  @IsString() personId: string;
  @IsNotEmpty({ message: 'Number of the certificate is needed.' })
  @IsString()
  @MaxLength(40, { message: 'Number: at most 40 characters.' })
  number: string;
  @IsArray()
  @ArrayMinSize(1, { message: 'Choose what it covers.' })
  @IsIn(CARD_METHODS, { each: true, message: 'Covers: choose from the list.' })
  methods: string[];
  @IsDay('Issued on') issuedOn: string;
  /** Absent: as long as the register says that a certificate holds. */
  @IsOptional() @IsDay('Good until') expiresOn?: string;
}

/** A certificate of a person, with its dates and what it covers. */
export const addCard = defineUseCase({
  name: 'add certificate',
  roles: MANAGERS,
  Input: AddCardInput,
  async act({ tx, actor, now }, input) {
    const [person] = await tx.select().from(people).where(eq(people.id, input.personId));
    if (!person) throw new NotFound('This person');
    if (person.role === 'client') refuseFields({ personId: 'A client makes no tests.' });
    // A day ahead is allowed: the laboratory's calendar may be a day before the server's.
    if (Date.parse(input.issuedOn) > now.getTime() + 86_400_000) {
      refuseFields({ issuedOn: 'Issued on lies in the future.' });
    }
    const years = (await limitsNow(tx)).number('people.certified', 'US').toNumber();
    const longest = dueOn(input.issuedOn, years * 12);
    const expiresOn = input.expiresOn ?? longest;
    if (expiresOn < input.issuedOn) refuseFields({ expiresOn: 'It would end before it was issued.' });
    if (expiresOn > longest) {
      refuseFields({
        expiresOn: `The register lets a certificate hold ${years} years: ${longest} at the latest.`,
      });
    }
    const [made] = await tx
      .insert(cards)
      .values({
        personId: person.id,
        number: input.number.trim(),
        methods: CARD_METHODS.filter((method) => input.methods.includes(method)),
        issuedOn: input.issuedOn,
        expiresOn,
        by: actor.id,
        at: now,
      })
      .returning({ id: cards.id });
    return { cardId: made?.id ?? '' };
  },
});

export class WithdrawCardInput {
  @IsUUID() cardId: string;
  @IsDay('From') withdrawnOn: string;
  @IsNotEmpty({ message: 'Give the reason.' })
  @IsString()
  @MaxLength(300, { message: 'Reason: at most 300 characters.' })
  reason: string;
}

/** A certificate that no longer counts, from a day on. It stays on record. */
export const withdrawCard = defineUseCase({
  name: 'withdraw certificate',
  roles: MANAGERS,
  Input: WithdrawCardInput,
  async act({ tx }, input) {
    const [card] = await tx.select().from(cards).where(eq(cards.id, input.cardId));
    if (!card) throw new NotFound('This certificate');
    if (input.withdrawnOn < card.issuedOn) refuseFields({ withdrawnOn: 'That is before it was issued.' });
    const changed = await tx
      .update(cards)
      .set({ withdrawnOn: input.withdrawnOn, withdrawnReason: input.reason.trim() })
      .where(and(eq(cards.id, card.id), isNull(cards.withdrawnOn)))
      .returning({ id: cards.id });
    if (changed.length === 0) throw new Conflict('This certificate is withdrawn already.');
    return { cardId: card.id };
  },
});
