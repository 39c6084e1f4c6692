import { Suspense, useState, type ReactNode } from 'react';

interface LazyDetailsProps {
  /** To be led to from elsewhere on the page. */
  id?: string;
  summary: ReactNode;
  /** Fetched, drawn and worked out only while it is open. */
  children: () => ReactNode;
}

/** A part of a page that costs nothing until it is opened. */
export function LazyDetails({ id, summary, children }: LazyDetailsProps) {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <details
      id={id}
      className="border-t border-hair print:in-[aside]:hidden"
      onToggle={(event) => {
        setIsOpen(event.currentTarget.open);
      }}
    >
      <summary>{summary}</summary>
      {isOpen && <Suspense>{children()}</Suspense>}
    </details>
  );
}
