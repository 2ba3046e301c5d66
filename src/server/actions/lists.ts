import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  MaxLength,
} from 'class-validator';
import { LISTS, type ListName, type ListRow, readList } from '@/core/interchange';
import { Conflict, Invalid, NotFound, Refused, refusalOf } from '../errors';
import { LIST_IMPORTS } from '../lists';
import { type Context, defineUseCase, refuseFields, STAFF } from '../use-case';

const NAMES = Object.keys(LISTS);
/** More rows than a laboratory has people, instruments or jobs; each is tried by itself. */
const MOST_ROWS = 2000;

export class ImportListInput {
  @IsIn(NAMES, { message: 'There is no such list.' }) list: ListName;
  @IsString() @MaxLength(2_000_000, { message: 'The file is too large: split it.' }) csv: string;
  /** The lines that were chosen in the preview; all of them for a preview. */
  @IsOptional() @IsArray() @ArrayMaxSize(MOST_ROWS) @IsInt({ each: true }) lines?: number[];
  /** Only to be told what would come of it. */
  @IsOptional() @IsBoolean() look?: boolean;
  @IsOptional() @IsUUID() jobId?: string;
  @IsOptional() @IsString() @MaxLength(40) material?: string;
}

/** A row as it was tried: what stands in it, and what keeps it out. */
interface Tried extends ListRow {
  readonly errors: readonly string[];
}

/** Thrown to take back what a preview did. */
class TakenBack extends Error {}

/**
 * A list that a laboratory brings along, row by row through the use cases of its forms. A preview does just that and
 * takes all of it back, so what it says is what will come of it.
 */
export const importList = defineUseCase({
  name: 'import a list',
  roles: STAFF,
  Input: ImportListInput,
  async act(context, { list, csv, lines, look = false, ...about }) {
    const { roles, columns } = LIST_IMPORTS[list];
    if (!roles.includes(context.actor.role)) throw new Refused();
    const { rows, problem } = readList(csv, columns(about));
    if (problem) return refuseFields({ csv: problem });
    if (rows.length > MOST_ROWS) refuseFields({ csv: `More than ${MOST_ROWS} rows: split the file.` });
    const wanted = look ? rows : rows.filter(({ line }) => lines?.includes(line));
    if (!look && wanted.length !== new Set(lines).size)
      refuseFields({ csv: 'The file is not as it was in the preview. Nothing was brought in.' });
    if (wanted.length === 0) refuseFields({ csv: 'Choose at least one line.' });
    const tried: Tried[] = [];
    const all = async (within: Context): Promise<void> => {
      for (const row of wanted) tried.push(await tryRow(within, list, row, about));
    };
    if (look) {
      await context.tx
        .transaction(async (tx) => {
          await all({ ...context, tx });
          throw new TakenBack();
        })
        .catch((error) => {
          if (!(error instanceof TakenBack)) throw error;
        });
      return { rows: tried, imported: 0 };
    }
    await all(context);
    const bad = tried.find(({ errors }) => errors.length > 0);
    if (bad) refuseFields({ csv: `Line ${bad.line}: ${bad.errors[0]} Nothing was brought in.` });
    return { rows: [], imported: tried.length };
  },
});

/** One row, in a part of the transaction of its own: what it did is taken back where it cannot come in. */
async function tryRow(
  context: Context,
  list: ListName,
  row: ListRow,
  about: Parameters<(typeof LIST_IMPORTS)[ListName]['row']>[2],
): Promise<Tried> {
  try {
    await context.tx.transaction((tx) => LIST_IMPORTS[list].row({ ...context, tx }, row.cells, about));
    return { ...row, errors: [] };
  } catch (raised) {
    const error = refusalOf(raised) ?? raised;
    if (error instanceof Invalid) return { ...row, errors: Object.values(error.errors) };
    if (error instanceof Conflict || error instanceof NotFound) return { ...row, errors: [error.message] };
    throw error;
  }
}
