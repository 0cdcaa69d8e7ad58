import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { LengthError } from '@rubbet/core/measure';
import type { Show } from '@rubbet/core/order';
import { useShow } from '../../data/useShow.tsx';
import { findFamily } from '@rubbet/core/model';
import type { LengthParam, CountParam, Params } from '@rubbet/core/model';
import type { ModelDetail } from '../../data/types.ts';
import { QuietButton } from '../../parts/Button.tsx';
import { Input } from '../../parts/Fields.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

type Ranged = LengthParam | CountParam;

const say = (def: Ranged, n: number, show: Show): string => (def.kind === 'length' ? show.length(n) : String(n));

/** A bound as typed, in inches or a whole number; undefined when it is neither. */
const readBound = (def: Ranged, text: string, show: Show): number | undefined => {
  if (def.kind === 'count') return /^\d+$/.test(text.trim()) ? Number(text) : undefined;
  try {
    return show.read(text);
  } catch (error) {
    if (error instanceof LengthError) return undefined;
    throw error;
  }
};

/** What a seller may choose of a model without asking: least and most of each size. */
export const RangeEditor = ({
  family,
  params,
  ranges,
  editable,
  onSave,
}: {
  readonly family: string;
  readonly params: Params;
  readonly ranges: ModelDetail['ranges'];
  readonly editable: boolean;
  readonly onSave: (ranges: ModelDetail['ranges']) => void;
}) => {
  const show = useShow();
  const defs = (findFamily(family)?.params ?? []).filter(
    (p): p is Ranged =>
      (p.kind === 'length' || p.kind === 'count') && (p.group === 'Size' || ranges[p.key] !== undefined),
  );
  const [texts, setTexts] = useState<Readonly<Record<string, readonly [string, string]>>>(
    Object.fromEntries(
      defs.flatMap((d) => {
        const r = ranges[d.key];
        return r ? [[d.key, [say(d, r[0], show), say(d, r[1], show)] as const]] : [];
      }),
    ),
  );
  const fault = (d: Ranged): string | undefined => {
    const t = texts[d.key];
    if (!t) return undefined;
    const [low, high] = [readBound(d, t[0], show), readBound(d, t[1], show)];
    if (low === undefined || high === undefined) return 'two sizes';
    if (low > high) return 'least first';
    return low < d.min || high > d.max ? `${say(d, d.min, show)} to ${say(d, d.max, show)}` : undefined;
  };
  const faults = defs.filter((d) => fault(d) !== undefined);
  const save = (): void =>
    onSave(
      Object.fromEntries(
        Object.entries(texts).map(([key, t]) => {
          const def = defs.find((d) => d.key === key) as Ranged;
          return [key, [readBound(def, t[0], show) ?? def.min, readBound(def, t[1], show) ?? def.max] as const];
        }),
      ),
    );
  return (
    <Box mt={6}>
      <Box display="flex" alignItems="baseline" gap={3}>
        <Heading>A seller may change</Heading>
        {editable && (
          <QuietButton ml="auto" disabled={faults.length > 0} onClick={save}>
            Keep
          </QuietButton>
        )}
      </Box>
      <Soft>What lies outside is still possible; Build then says that it is not the model any more.</Soft>
      {defs.map((d) => {
        const t = texts[d.key];
        const set = (k: 0 | 1, text: string): void =>
          setTexts({ ...texts, [d.key]: k === 0 ? [text, t?.[1] ?? ''] : [t?.[0] ?? '', text] });
        const bad = fault(d);
        return (
          <Box
            key={d.key}
            display="grid"
            gridTemplateColumns="1fr 84px 84px 74px"
            gap={2}
            alignItems="center"
            py="4px"
            borderBottom="1px solid"
            borderColor="hair"
          >
            <span>
              {d.label} <Soft>{say(d, Number(params[d.key]), show)}</Soft>
            </span>
            {t ? (
              <>
                {([0, 1] as const).map((k) => (
                  <Input
                    key={k}
                    aria-label={`${d.label}, ${k === 0 ? 'least' : 'most'}`}
                    aria-invalid={bad !== undefined}
                    className="cond"
                    textAlign="right"
                    disabled={!editable}
                    value={t[k]}
                    onChange={(e) => set(k, e.target.value)}
                  />
                ))}
                <Box fontSize="13px" color={bad ? 'keel' : 'soft'}>
                  {bad ??
                    (editable && (
                      <button
                        onClick={() => {
                          const { [d.key]: _gone, ...rest } = texts;
                          setTexts(rest);
                        }}
                      >
                        fix it
                      </button>
                    ))}
                </Box>
              </>
            ) : (
              <Box gridColumn="2 / 5" textAlign="right">
                {editable ? (
                  <button onClick={() => setTexts({ ...texts, [d.key]: [say(d, d.min, show), say(d, d.max, show)] })}>
                    <Soft>fixed; let them choose</Soft>
                  </button>
                ) : (
                  <Soft>fixed</Soft>
                )}
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
};
