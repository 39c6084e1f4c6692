import { parseDate, parseDateTime } from '@internationalized/date';
import { DateField, DateInput, DateSegment, Label } from 'react-aria-components';

interface DateTimeFieldProps {
  label: string;
  /** Local time as `2026-11-30T16:30`, or the day alone as `2026-11-30`; empty = none. */
  value: string;
  /** Only the day is asked for. */
  isDay?: boolean;
  onChange: (value: string) => void;
}

/** Signs of a day, and of a day with its hour and minute. */
const LENGTHS = { day: 10, minute: 16 } as const;

/** A day, with a time or without, in the order in which the person's own language writes them. Loaded when it is shown. */
export function DateTimeField({ label, value, isDay = false, onChange }: DateTimeFieldProps) {
  const granularity = isDay ? 'day' : 'minute';
  const read = isDay ? parseDate : parseDateTime;
  return (
    <DateField
      className="mb-[0.7rem] grid max-w-120 gap-[0.2rem]"
      granularity={granularity}
      shouldForceLeadingZeros
      value={value === '' ? null : read(value)}
      onChange={(next) => {
        onChange(next?.toString().slice(0, LENGTHS[granularity]) ?? '');
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
}
