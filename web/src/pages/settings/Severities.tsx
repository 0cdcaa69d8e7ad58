import { Box } from '@chakra-ui/react';
import { CHECK_TITLES } from '@rubbet/core/check';
import type { CheckRules } from '@rubbet/core/check';
import { Select } from '../../parts/Fields.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

type Severities = CheckRules['severities'];
const WORDS = { stop: 'a stop', warn: 'a warning', tip: 'a tip', off: 'not at all' } as const;

/** How seriously each kind of finding is taken: as usual, or as this business says. */
export const Severities = ({
  value,
  editable,
  search,
  onChange,
}: {
  readonly value: Severities;
  readonly editable: boolean;
  /** Words that a title must have to be listed. */
  readonly search: string;
  readonly onChange: (next: Severities) => void;
}) => (
  <Box borderTop="2px solid" borderColor="ink" pt={3} mt={6}>
    <Heading>How seriously findings are taken</Heading>
    <Soft>Stops keep an order from the bench. What concerns safety is best left as it is.</Soft>
    <Box columnCount={{ base: 1, lg: 2 }} columnGap="44px" mt={2}>
      {Object.entries(CHECK_TITLES)
        .filter(([, title]) => title.toLowerCase().includes(search))
        .map(([code, title]) => (
          <Box
            key={code}
            display="grid"
            gridTemplateColumns="1fr 150px"
            gap={3}
            alignItems="center"
            py="3px"
            borderBottom="1px solid"
            borderColor="hair"
            breakInside="avoid"
          >
            <label htmlFor={`severity-${code}`}>{title}</label>
            <Select
              id={`severity-${code}`}
              disabled={!editable}
              value={value[code] ?? ''}
              onChange={(e) => {
                const { [code]: _was, ...rest } = value;
                const chosen = e.target.value;
                onChange(chosen === '' ? rest : { ...rest, [code]: chosen as Severities[string] });
              }}
            >
              <option value="">as usual</option>
              {Object.entries(WORDS).map(([key, word]) => (
                <option key={key} value={key}>
                  {word}
                </option>
              ))}
            </Select>
          </Box>
        ))}
    </Box>
  </Box>
);
