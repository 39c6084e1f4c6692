import { FolderOpen } from 'lucide-react';
import { useState } from 'react';
import { fileField as say } from '../words.ts';

interface FileFieldProps {
  label: string;
  /** As an `accept` attribute. */
  accept: string;
  onChoose: (file: File | undefined) => void;
}

/** A file from this device: its name stands next to the button that chooses it. */
export function FileField({ label, accept, onChoose }: FileFieldProps) {
  const [name, setName] = useState<string | null>(null);
  return (
    <label className="mb-[0.7rem] grid max-w-120 cursor-pointer gap-[0.2rem]">
      <span className="text-[0.95rem] text-faint">{label}</span>
      <span className="flex min-h-12 items-center gap-3">
        <span className="relative inline-flex min-h-12 flex-none items-center gap-2 rounded-full border-[1.5px] border-ink px-[1.1rem] font-semibold has-[:focus-visible]:outline-3 has-[:focus-visible]:outline-offset-3 has-[:focus-visible]:outline-water">
          <FolderOpen aria-hidden size={18} />
          <span aria-hidden>{say.choose}</span>
          <input
            type="file"
            className="absolute inset-0 h-full min-h-12 w-full cursor-pointer opacity-0"
            aria-label={label}
            accept={accept}
            onChange={(event) => {
              const file = event.target.files?.[0];
              setName(file?.name ?? null);
              onChoose(file);
            }}
          />
        </span>
        <span className="min-w-0 truncate text-faint">{name ?? say.none}</span>
      </span>
    </label>
  );
}
