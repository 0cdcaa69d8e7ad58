import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { longDay } from '../../data/days.ts';
import type { CalendarData } from '../../data/types.ts';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Choices, Field, Input } from '../../parts/Fields.tsx';
import { FormSheet, Labelled } from '../../parts/FormSheet.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Soft } from '../../parts/Text.tsx';
import { clock } from '../crews/clock.ts';
import { Away } from './Away.tsx';
import { OtherCrews } from './OtherCrews.tsx';
import { OutOfOrder } from './OutOfOrder.tsx';

type Day = CalendarData['days'][number];
const WEEK = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** Days on which nobody works, and notes on days. */
export const CalendarPage = () => {
  const { data, error, mutate } = useSWR<CalendarData, Error>('/calendar');
  const [open, setOpen] = useState(false);
  const { tell, fail } = useNotice();
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const set = async (day: string, closed: boolean, note: string, more: More = {}): Promise<void> => {
    const version = data.days.find((d) => d.day === day)?.version ?? 0;
    const put = (v: number): Promise<CalendarData> =>
      api<CalendarData>(`/calendar/${day}`, { method: 'PUT', body: { version: v, closed, note, ...more } });
    try {
      await mutate(await put(version), { revalidate: false });
    } catch (e) {
      // A day that is not listed may be known all the same, for its weather.
      const theirs = (e as { body?: { theirs?: number } }).body?.theirs;
      if (theirs === undefined || version !== 0) throw e;
      await mutate(await put(theirs), { revalidate: false });
    }
  };
  const end = (d: Day): void => {
    set(d.day, false, '', { closes: null, overtime: false })
      .then(() => tell(`${longDay(d.day)} is a day like others again.`))
      .catch(fail);
  };
  return (
    <Box maxW="760px">
      <Box display="flex" alignItems="center" gap={4} mb={4} flexWrap="wrap">
        <Soft>
          The shop works {data.dayMinutes / 60} hours from {data.opens} on{' '}
          {data.workdays.map((d) => WEEK[d]).join(', ')}. The week is set under Business.
        </Soft>
        <Button ml="auto" onClick={() => setOpen(true)}>
          Another day
        </Button>
      </Box>
      {data.days.length === 0 && (
        <Empty>Every day is like the others. Close holidays and fair days, and nothing is planned on them.</Empty>
      )}
      {data.days.length > 0 && (
        <table>
          <thead>
            <tr>
              <th>Day</th>
              <th>What</th>
              <th>Why</th>
              <th>
                <span className="sr">What to do</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {data.days.map((d) => (
              <tr key={d.day} data-day={d.day}>
                <td className="cond">{longDay(d.day)}</td>
                <td>
                  {d.closed
                    ? 'closed'
                    : d.closes !== null
                      ? `closes at ${clock(d.closes)}`
                      : d.overtime
                        ? 'people stay longer'
                        : 'worked'}
                  {d.closed && d.blocks > 0 && (
                    <Box color="keel">
                      {d.blocks} {d.blocks === 1 ? 'block stands' : 'blocks stand'} on it: move them on the board.
                    </Box>
                  )}
                </td>
                <td>{d.note}</td>
                <td className="num">
                  {d.day >= data.today && <QuietButton onClick={() => end(d)}>As on other days</QuietButton>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {open && (
        <DaySheet
          today={data.today}
          onClose={() => setOpen(false)}
          onKeep={async (day, kind, closes, note) => {
            await set(day, kind === 'closed', note, {
              closes: kind === 'early' ? closes : null,
              overtime: kind === 'longer',
            });
            tell(`${longDay(day)} is written down. Look on the board whether what stands on it still can.`);
          }}
        />
      )}
      <Away today={data.today} />
      <OutOfOrder today={data.today} />
      <OtherCrews today={data.today} />
    </Box>
  );
};

type More = { readonly closes?: number | null; readonly overtime?: boolean };
type DayKind = 'closed' | 'early' | 'longer';

const DaySheet = ({
  today,
  onClose,
  onKeep,
}: {
  readonly today: string;
  readonly onClose: () => void;
  readonly onKeep: (day: string, kind: DayKind, closes: number, note: string) => Promise<void>;
}) => {
  const [day, setDay] = useState('');
  const [kind, setKind] = useState<DayKind>('closed');
  const [until, setUntil] = useState('13:00');
  const [note, setNote] = useState('');
  const [h = NaN, m = NaN] = until.split(':').map(Number);
  const closes = h * 60 + m;
  return (
    <FormSheet
      title="A day that is not like the others"
      yes="Write it down"
      ready={day >= today && (kind !== 'early' || Number.isInteger(closes))}
      onClose={onClose}
      onKeep={() => onKeep(day, kind, closes, note)}
    >
      <Field label="Day">
        {(id) => <Input id={id} type="date" min={today} value={day} onChange={(e) => setDay(e.target.value)} />}
      </Field>
      <Labelled label="What">
        <Choices
          label="What"
          value={kind}
          onChange={setKind}
          choices={[
            { value: 'closed', label: 'Closed' },
            { value: 'early', label: 'Closes early' },
            { value: 'longer', label: 'People stay longer' },
          ]}
        />
      </Labelled>
      {kind === 'early' && (
        <Field label="Closes at">
          {(id) => <Input id={id} type="time" value={until} onChange={(e) => setUntil(e.target.value)} />}
        </Field>
      )}
      <Field label="Why" help="Shown on the board.">
        {(id) => <Input id={id} maxLength={120} value={note} onChange={(e) => setNote(e.target.value)} />}
      </Field>
    </FormSheet>
  );
};
