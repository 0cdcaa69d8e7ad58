import { Box, chakra } from '@chakra-ui/react';
import type { ParamValue } from '@rubbet/core/unit';
import type { Finding, Severity } from '@rubbet/core/check';
import { QuietButton } from '../../../parts/Button.tsx';
import { Heading, WithFractions } from '../../../parts/Text.tsx';

const TONES: Readonly<Record<Severity, { readonly bg: string; readonly edge: string; readonly word: string }>> = {
  stop: { bg: 'keelwash', edge: 'keel', word: 'Stop' },
  warn: { bg: 'amberwash', edge: 'amber', word: 'Warning' },
  tip: { bg: 'chalkwash', edge: 'chalk', word: 'Tip' },
};

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;
const NoteText = chakra('button', { base: { textAlign: 'left', flex: 1, minW: 0 } });

/** Findings written beside the drawing, pinned to it by number, each with the mend that one click makes. */
export const MarginNotes = ({
  findings,
  pinned,
  onPin,
  onMend,
}: {
  readonly findings: readonly Finding[];
  readonly pinned: number | undefined;
  readonly onPin: (n: number | undefined) => void;
  readonly onMend: (patch: Readonly<Record<string, ParamValue>>) => void;
}) => {
  const n = (s: Severity): number => findings.filter((f) => f.severity === s).length;
  return (
    <Box borderTop="2px solid" borderColor="ink" mt={4} pt={2} data-findings={findings.length}>
      <Heading>
        Margin notes{' '}
        {findings.length === 0 ? (
          <Box as="span" color="moss">
            nothing to mend
          </Box>
        ) : (
          <>
            {n('stop') > 0 && (
              <Box as="span" color="keel">
                {count(n('stop'), 'stop', 'stops')}{' '}
              </Box>
            )}
            {n('warn') > 0 && (
              <Box as="span" color="amber">
                {count(n('warn'), 'warning', 'warnings')}{' '}
              </Box>
            )}
            {n('tip') > 0 && (
              <Box as="span" color="chalk">
                {count(n('tip'), 'tip', 'tips')}
              </Box>
            )}
          </>
        )}
      </Heading>
      {findings.map((f, i) => {
        const tone = TONES[f.severity];
        return (
          <Box
            key={f.code}
            data-finding={f.code}
            data-severity={f.severity}
            bg={tone.bg}
            borderLeft="4px solid"
            borderColor={tone.edge}
            outline={pinned === i ? '2px solid' : 'none'}
            outlineColor="tape"
            px={3}
            py={2}
            mt={2}
            display="flex"
            gap={3}
            alignItems="flex-start"
            fontSize="14.5px"
          >
            <NoteText
              className="on-paper"
              aria-pressed={pinned === i}
              onClick={() => onPin(pinned === i ? undefined : i)}
            >
              <span className="sr">{tone.word}. </span>
              <strong className="cond">
                {i + 1} · <WithFractions text={f.what} />
              </strong>{' '}
              <WithFractions text={f.why} />
            </NoteText>
            {f.fix && (
              <QuietButton
                bg="sheet"
                onClick={() => {
                  onPin(undefined);
                  onMend(f.fix?.patch ?? {});
                }}
              >
                <WithFractions text={f.fix.label} />
              </QuietButton>
            )}
          </Box>
        );
      })}
    </Box>
  );
};
