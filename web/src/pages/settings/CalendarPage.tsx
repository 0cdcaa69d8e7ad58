import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { longDay } from '../../data/days.ts';
import type { CalendarData } from '../../data/types.ts';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Field, Input } from '../../parts/Fields.tsx';
import { FormSheet } from '../../parts/FormSheet.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Soft } from '../../parts/Text.tsx';

type Day = CalendarData['days'][number];
const WEEK = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];

/** Days on which nobody works, and notes on days. */
export const CalendarPage = () => {
  const { data, error, mutate } = useSWR<CalendarData, Error>('/calendar');
  const [open, setOpen] = useState(false);
  const { tell, fail } = useNotice();
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const set = async (day: string, closed: boolean, note: string): Promise<void> => {
    const version = data.days.find((d) => d.day === day)?.version ?? 0;
    const put = (v: number): Promise<CalendarData> =>
      api<CalendarData>(`/calendar/${day}`, { method: 'PUT', body: { version: v, closed, note } });
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
    set(d.day, false, '')
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
          Close a day
        </Button>
      </Box>
      {data.days.length === 0 && (
        <Empty>No day is closed. Close holidays and fair days, and nothing is planned on them.</Empty>
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
                  {d.closed ? 'closed' : 'worked'}
                  {d.closed && d.blocks > 0 && (
                    <Box color="keel">
                      {d.blocks} {d.blocks === 1 ? 'block stands' : 'blocks stand'} on it: move them on the board.
                    </Box>
                  )}
                </td>
                <td>{d.note}</td>
                <td className="num">
                  {d.day >= data.today && <QuietButton onClick={() => end(d)}>Open it again</QuietButton>}
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
          onKeep={async (day, note) => {
            await set(day, true, note);
            tell(`${longDay(day)} is closed: nothing is planned on it.`);
          }}
        />
      )}
    </Box>
  );
};

const DaySheet = ({
  today,
  onClose,
  onKeep,
}: {
  readonly today: string;
  readonly onClose: () => void;
  readonly onKeep: (day: string, note: string) => Promise<void>;
}) => {
  const [day, setDay] = useState('');
  const [note, setNote] = useState('');
  return (
    <FormSheet
      title="Close a day"
      yes="Close it"
      ready={day >= today}
      onClose={onClose}
      onKeep={() => onKeep(day, note)}
    >
      <Field label="Day">
        {(id) => <Input id={id} type="date" min={today} value={day} onChange={(e) => setDay(e.target.value)} />}
      </Field>
      <Field label="Why" help="Shown on the board.">
        {(id) => <Input id={id} maxLength={120} value={note} onChange={(e) => setNote(e.target.value)} />}
      </Field>
    </FormSheet>
  );
};
