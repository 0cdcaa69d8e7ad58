import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { addDays } from '@rubbet/core/days';
import { longDay } from '../../data/days.ts';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Choices, Field, Input } from '../../parts/Fields.tsx';
import { Labelled } from '../../parts/FormSheet.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

/** A day that something is written down for. */
export interface WrittenDay {
  readonly id: number;
  readonly day: string;
  readonly what: string;
  readonly why: string;
}

/** Days one after another that the same is written down for. */
export interface WrittenDays {
  readonly ids: readonly number[];
  readonly first: string;
  readonly last: string;
  readonly what: string;
  readonly why: string;
}

/** Days as they are written down, those together that follow each other with the same. */
export const joinDays = (days: readonly WrittenDay[]): WrittenDays[] => {
  const out: { ids: number[]; first: string; last: string; what: string; why: string }[] = [];
  for (const d of days) {
    const open = out.find((o) => o.what === d.what && o.why === d.why && addDays(o.last, 1) === d.day);
    if (open) {
      open.ids.push(d.id);
      open.last = d.day;
    } else out.push({ ids: [d.id], first: d.day, last: d.day, what: d.what, why: d.why });
  }
  return out;
};

/** Days in words: `Monday 7 December`, `Monday 7 December to Friday 11 December`. */
export const daysWords = (d: Pick<WrittenDays, 'first' | 'last'>): string =>
  d.first === d.last ? longDay(d.first) : `${longDay(d.first)} to ${longDay(d.last)}`;

/** Days that something is written down for, and what writes more of them down. */
export const WrittenList = ({
  title,
  add,
  canAdd,
  none,
  whose,
  undo,
  days,
  onAdd,
  onUndo,
  name,
  children,
}: {
  readonly title: string;
  readonly add: string;
  readonly canAdd: boolean;
  readonly none: string;
  /** Heads of what is written down, and why. */
  readonly whose: readonly [string, string];
  readonly undo: string;
  readonly days: readonly WrittenDay[] | undefined;
  readonly onAdd: () => void;
  readonly onUndo: (days: WrittenDays) => void;
  readonly name: string;
  readonly children: ReactNode;
}) => (
  <Box mt={8} data-testid={name}>
    <Box display="flex" alignItems="center" gap={4} mb={2}>
      <Heading>{title}</Heading>
      <Button ml="auto" disabled={!canAdd} onClick={onAdd}>
        {add}
      </Button>
    </Box>
    {days?.length === 0 && <Soft>{none}</Soft>}
    {days && days.length > 0 && (
      <table>
        <thead>
          <tr>
            <th>Day</th>
            <th>{whose[0]}</th>
            <th>{whose[1]}</th>
            <th>
              <span className="sr">What to do</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {joinDays(days).map((d) => (
            <tr key={d.ids[0]} data-written={d.first}>
              <td className="cond">{daysWords(d)}</td>
              <td>{d.what}</td>
              <td>{d.why}</td>
              <td className="num">
                <QuietButton onClick={() => onUndo(d)}>{undo}</QuietButton>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    )}
    {children}
  </Box>
);

export type Part = 'day' | 'morning' | 'afternoon';

/** What part of a day is written down. */
export const partOf = (a: { readonly from: number | null; readonly to: number | null }): string =>
  a.from !== null ? 'afternoon' : a.to !== null ? 'morning' : 'all day';

/** From which day to which. */
export const SpanFields = ({
  today,
  day,
  until,
  onDay,
  onUntil,
}: {
  readonly today: string;
  readonly day: string;
  readonly until: string;
  readonly onDay: (day: string) => void;
  readonly onUntil: (day: string) => void;
}) => (
  <>
    <Field label="From">
      {(id) => <Input id={id} type="date" min={today} value={day} onChange={(e) => onDay(e.target.value)} />}
    </Field>
    <Field label="To, that day too" help="Left empty: that day only.">
      {(id) => <Input id={id} type="date" min={day} value={until} onChange={(e) => onUntil(e.target.value)} />}
    </Field>
  </>
);

/** How much of each day. */
export const PartChoice = ({ value, onChange }: { readonly value: Part; readonly onChange: (part: Part) => void }) => (
  <Labelled label="How long each day">
    <Choices
      label="How long each day"
      value={value}
      onChange={onChange}
      choices={[
        { value: 'day', label: 'All day' },
        { value: 'morning', label: 'The morning' },
        { value: 'afternoon', label: 'The afternoon' },
      ]}
    />
  </Labelled>
);
