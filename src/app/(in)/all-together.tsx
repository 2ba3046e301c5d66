import { Typography } from '@mui/material';
import type { LotSays } from '@/core/material/contract';
import { withUnit } from '@/core/quantity';
import { capital } from '@/core/words';
import { LotPicture } from '@/ui/materials/registry';
import { Card } from '@/ui/parts/Card';
import { VerdictMark } from '@/ui/parts/Verdict';
import { Working } from '@/ui/parts/Working';

/** What samples, or the tests of one, say together: how it stands, what follows, what to know. */
export function AllTogether({ says, material }: { says: LotSays; material?: string }) {
  return (
    <Card title="All together">
      {says.verdict ? (
        <Typography sx={{ mb: 1 }}>
          <VerdictMark state={says.verdict.state} />
          {` ${says.verdict.sentence}`}
        </Typography>
      ) : null}
      {says.results.map(({ quantity, text, unit }) => (
        <Typography key={quantity}>
          {`${capital(quantity)}: `}
          <span className="mono">{withUnit(text, unit)}</span>
        </Typography>
      ))}
      {says.remarks.map((text) => (
        <Typography key={text} color="warning.main">
          {text}
        </Typography>
      ))}
      {says.picture && material ? <LotPicture material={material} picture={says.picture} /> : null}
      {says.lines.length > 0 ? <Working lines={says.lines} /> : null}
    </Card>
  );
}
