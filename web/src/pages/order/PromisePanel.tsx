import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { printList, printMinutes } from '@rubbet/core/measure';
import { api } from '../../data/api.ts';
import { longDay, shortDay } from '../../data/days.ts';
import { useRules } from '../../data/hooks.ts';
import type { PromiseData } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { QuietButton } from '../../parts/Button.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

const WHAT: Readonly<Record<string, string>> = {
  bay: 'another bay large enough',
  saw: 'another saw',
  yard: 'another place to load at',
  framing: 'one more who frames',
  paint: 'one more who paints',
  loading: 'more who load',
  driving: 'one more who drives with a trailer',
  site: 'more who build on site',
};

/** Days one after the other: `Tue 1 Dec, Wed 2 Dec and Fri 4 Dec`. */
const andDays = (days: readonly string[]): string => printList(days.map(shortDay));

/** The days that an order can be promised for, how sure each is, and what stands in the way of a sooner one. */
export const PromisePanel = ({
  order,
  wantedBy,
  planned = false,
}: {
  readonly order: number;
  readonly wantedBy: string;
  /** It has its turn on the board already. */
  readonly planned?: boolean;
}) => {
  const show = useShow();
  const rules = useRules();
  const { fail } = useNotice();
  const [found, setFound] = useState<PromiseData>();
  const [busy, setBusy] = useState(false);
  const look = async (): Promise<void> => {
    setBusy(true);
    try {
      setFound(await api<PromiseData>(`/board/promise/${order}`));
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const lines = found
    ? ([
        ['one in two', found.half],
        ['four in five', found.likely],
        ['nineteen in twenty', found.sure],
      ] as const)
    : [];
  const words = (w: PromiseData['inTheWay'][number]): string =>
    w.what === 'overtime'
      ? `${printMinutes(rules.crews.overtime)} overtime on ${andDays(w.on)} ${w.on.length === 1 ? 'saves' : 'save'} ${w.days === 1 ? 'a day' : `${w.days} days`}${w.cents === null ? '' : `, for ${show.money(w.cents)}`}.`
      : w.what === 'material'
        ? `With all that it is made of on the rack today it is done ${w.days === 1 ? 'a day' : `${w.days} days`} sooner.`
        : `With ${w.what === 'trailer' ? 'another trailer' : (WHAT[w.name] ?? w.name)} it is done ${w.days === 1 ? 'a day' : `${w.days} days`} sooner.`;
  return (
    <Box mt={6} data-testid="promise">
      <Heading mb={1}>{planned ? 'How sure its day is' : 'Which day can be promised'}</Heading>
      {!found && (
        <Box mb={2}>
          <Soft>
            {planned ? 'In its turn on the board' : 'Behind everything that is on the board'}, with its people, bays,
            coats and the weather, and with how widely logged times spread.
          </Soft>
        </Box>
      )}
      {found && (
        <>
          {lines.map(([sure, day]) => (
            <Box
              key={sure}
              display="flex"
              gap={3}
              borderBottom="1px solid"
              borderColor="hair"
              py="5px"
              data-sure={sure}
            >
              <Box
                className="cond"
                fontSize="17px"
                minW="190px"
                color={day !== null && day > wantedBy ? 'keel' : undefined}
              >
                {day === null ? 'not within half a year' : longDay(day)}
              </Box>
              <Soft>kept {sure} times</Soft>
            </Box>
          ))}
          <Box mt={2}>
            {found.sure !== null && found.sure <= wantedBy
              ? `The day that it is wanted, ${shortDay(wantedBy)}, can be promised.`
              : found.half !== null && found.half <= wantedBy
                ? `${shortDay(wantedBy)}, when it is wanted, is not sure: promise a later day, or look at what is in the way.`
                : `${shortDay(wantedBy)}, when it is wanted, is too soon as things stand.`}
          </Box>
          {found.inTheWay.slice(0, 4).map((w) => (
            <Box key={`${w.what} ${w.name}`}>{words(w)}</Box>
          ))}
          {found.inTheWay.length === 0 && <Soft>Nothing else holds it up: it takes as long as its own work does.</Soft>}
          <Box mt={1}>
            <Soft>
              {found.samples} times drawn,{' '}
              {found.logged === 0
                ? 'with the usual spread of a fifth: too little is logged yet.'
                : `with the spread of ${found.logged} logged steps.`}
            </Soft>
          </Box>
        </>
      )}
      <Box mt={2}>
        <QuietButton disabled={busy} onClick={() => void look()}>
          {busy ? 'Looking …' : found ? 'Look again' : planned ? 'Look how sure' : 'Look which day'}
        </QuietButton>
      </Box>
    </Box>
  );
};
