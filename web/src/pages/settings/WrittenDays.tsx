import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
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

/** Days that something is written down for, a line each, and what writes another down. */
export const WrittenDays = ({
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
  readonly onUndo: (day: WrittenDay) => void;
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
          {days.map((d) => (
            <tr key={d.id} data-written={d.day}>
              <td className="cond">{longDay(d.day)}</td>
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
