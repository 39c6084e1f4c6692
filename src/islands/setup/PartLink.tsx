import type { ReactNode } from 'react';
import { openPart } from './openPart.ts';

/** Parts of a set-up page that a sentence leads to. */
export type PartId =
  'accuracy' | 'margins' | 'schools' | 'sides' | 'versions' | `setting-${string}`;

/** Words of a sentence that open another part of the page. */
export function PartLink({ to, children }: { to: PartId; children: ReactNode }) {
  return (
    <a
      href={`#${to}`}
      onClick={(event) => {
        event.preventDefault();
        openPart(to);
      }}
    >
      {children}
    </a>
  );
}
