import { parseDateTime } from '@internationalized/date';
import { DateField, DateInput, DateSegment, Label, type DateValue } from 'react-aria-components';

interface DateTimeFieldProps {
  label: string;
  /** Local time as `2026-11-30T16:30`; empty = none. */
  value: string;
  onChange: (value: string) => void;
}

/** `2026-11-30T16:30` of what the field holds. */
const write = (value: DateValue | null): string => value?.toString().slice(0, 16) ?? '';

/** A day and a time, in the order in which the person's own language writes them. Loaded when it is shown. */
export const DateTimeField = ({ label, value, onChange }: DateTimeFieldProps) => (
  <DateField
    className="mb-[0.7rem] grid max-w-120 gap-[0.2rem]"
    granularity="minute"
    shouldForceLeadingZeros
    value={value === '' ? null : parseDateTime(value)}
    onChange={(next) => {
      onChange(write(next));
    }}
  >
    <Label className="text-[0.95rem] text-faint">{label}</Label>
    <DateInput className="inline-flex min-h-11 w-fit items-center rounded border border-faint bg-sheet px-[0.7rem] tabular-nums">
      {(segment) => (
        <DateSegment
          segment={segment}
          className="rounded px-px py-1 outline-none not-data-[type=literal]:min-w-6 not-data-[type=literal]:text-center focus:bg-shallow data-placeholder:text-faint"
        />
      )}
    </DateInput>
  </DateField>
);
