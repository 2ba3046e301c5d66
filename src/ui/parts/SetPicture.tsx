'use client';
import { useMethodFolder } from '../methods/holding';
import type { GroupProps } from '../methods/kit';
import { InMethodFolder } from '../methods/registry';

/** The results of a set as the folder of its method draws them; nothing where it draws none. */
export function SetPicture({ method, ...props }: GroupProps & { method: string }) {
  return (
    <InMethodFolder id={method as Parameters<typeof InMethodFolder>[0]['id']}>
      <Drawn {...props} />
    </InMethodFolder>
  );
}

function Drawn(props: GroupProps) {
  const { Group } = useMethodFolder();
  return Group ? <Group {...props} /> : null;
}
