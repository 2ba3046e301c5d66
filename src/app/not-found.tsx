import { Empty } from '@/ui/parts/Card';
import { LinkButton } from '@/ui/parts/LinkButton';

export default function NotFoundPage() {
  return (
    <Empty action={<LinkButton href="/today">Back to today</LinkButton>}>
      This is not there, or not yours to see. The link may be old or mistyped.
    </Empty>
  );
}
