import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import { swapWords } from '@rubbet/core/unit';
import { useShow } from '../../../data/useShow.tsx';
import type { ParamValue } from '@rubbet/core/unit';
import { isShown } from '@rubbet/core/model';
import type { Family, ParamDef, Params } from '@rubbet/core/model';
import { Lock, LockOpen } from 'lucide-react';
import { Choices, LengthInput } from '../../../parts/Fields.tsx';

const Tab = chakra('button', {
  base: {
    px: '10px',
    py: '6px',
    fontFamily: 'heading',
    fontStretch: '82%',
    fontWeight: 600,
    fontSize: '14.5px',
    color: 'soft',
    '&[aria-selected=true]': { bg: 'ink', color: 'sheet' },
  },
});

const LockButton = chakra('button', {
  base: { color: 'rule', '&:hover': { color: 'ink' }, '&[aria-pressed=true]': { color: 'keel' } },
});

const turned = (def: ParamDef): ParamDef => ({
  ...def,
  label: swapWords(def.label),
  ...(def.help === undefined ? {} : { help: swapWords(def.help) }),
  ...(def.kind === 'choice' ? { choices: def.choices.map((c) => ({ ...c, label: swapWords(c.label) })) } : {}),
});

const Row = ({
  def,
  params,
  locked,
  onLock,
  onChange,
}: {
  readonly def: ParamDef;
  readonly params: Params;
  readonly locked: boolean;
  readonly onLock: () => void;
  readonly onChange: (patch: Record<string, ParamValue>) => void;
}) => {
  const show = useShow();
  const value = params[def.key] as ParamValue;
  const set = (v: ParamValue): void => onChange({ [def.key]: v });
  const [drag, setDrag] = useState<number>();
  if (def.kind === 'choice' || def.kind === 'flag') {
    const choices =
      def.kind === 'choice'
        ? def.choices
        : [
            { value: true, label: 'Yes' },
            { value: false, label: 'No' },
          ];
    return (
      <Box
        display="grid"
        gridTemplateColumns={{ base: 'minmax(0,1fr)', md: '148px 1fr' }}
        gap="10px"
        alignItems="center"
        py="6px"
        borderBottom="1px solid"
        borderColor="hair"
        title={def.help === undefined ? undefined : show.text(def.help)}
      >
        <span>{def.label}</span>
        <Choices<ParamValue> label={def.label} value={value} choices={choices} onChange={set} />
      </Box>
    );
  }
  const min = def.min;
  const max = def.max;
  const step = def.kind === 'length' ? def.step : 1;
  const shown = drag ?? Number(value);
  const end = (): void => {
    if (drag !== undefined && drag !== value) set(drag);
    setDrag(undefined);
  };
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '22px minmax(0,1.2fr) minmax(0,1fr) 88px', md: '22px 126px 1fr 96px' }}
      _print={{ gridTemplateColumns: 'minmax(0,1fr) auto' }}
      gap="10px"
      alignItems="center"
      py="5px"
      borderBottom="1px solid"
      borderColor="hair"
      title={def.help === undefined ? undefined : show.text(def.help)}
    >
      <LockButton
        aria-pressed={locked}
        aria-label={`${locked ? 'Open the lock of' : 'Lock'} ${def.label}`}
        title={locked ? 'Locked: nothing changes it' : 'Lock this dimension'}
        onClick={onLock}
      >
        {locked ? <Lock size={14} aria-hidden /> : <LockOpen size={14} aria-hidden />}
      </LockButton>
      <span>{def.label}</span>
      <input
        type="range"
        className="rule-range"
        aria-label={`${def.label}, slide`}
        min={min}
        max={max}
        step={step}
        value={shown}
        disabled={locked}
        onChange={(e) => setDrag(Number(e.target.value))}
        onPointerUp={end}
        onKeyUp={end}
        onBlur={end}
      />
      {def.kind === 'length' ? (
        <LengthInput label={def.label} value={shown} min={min} max={max} onChange={set} />
      ) : (
        <Choices
          label={def.label}
          value={shown}
          choices={Array.from({ length: Math.min(6, max - min + 1) }, (_, i) => ({
            value: min + i,
            label: String(min + i),
          }))}
          onChange={set}
        />
      )}
    </Box>
  );
};

/** The configurator's form, made from the family's parameter table and laid out by its groups. */
export const ParamForm = ({
  family,
  params,
  mirrored,
  locks,
  onLock,
  onChange,
}: {
  readonly family: Family;
  readonly params: Params;
  /** Sides are named as they are seen. */
  readonly mirrored: boolean;
  readonly locks: readonly string[];
  readonly onLock: (param: string) => void;
  readonly onChange: (patch: Record<string, ParamValue>) => void;
}) => {
  const groups = [...new Set(family.params.map((p) => p.group))];
  const [chosen, setGroup] = useState(groups[0] ?? '');
  const group = groups.includes(chosen) ? chosen : (groups[0] ?? '');
  return (
    <Box>
      <Box
        role="tablist"
        aria-label="Groups"
        display="flex"
        flexWrap="wrap"
        borderBottom="2px solid"
        borderColor="ink"
        mb={2}
      >
        {groups.map((g) => (
          <Tab
            key={g}
            role="tab"
            id={`tab-${g}`}
            aria-controls="param-panel"
            aria-selected={g === group}
            onClick={() => setGroup(g)}
          >
            {g}
          </Tab>
        ))}
      </Box>
      <Box role="tabpanel" id="param-panel" aria-labelledby={`tab-${group}`}>
        {family.params
          .filter((p) => p.group === group && isShown(p, params))
          .map((def) => (mirrored ? turned(def) : def))
          .map((def) => (
            <Row
              key={def.key}
              def={def}
              params={params}
              locked={locks.includes(def.key)}
              onLock={() => onLock(def.key)}
              onChange={onChange}
            />
          ))}
      </Box>
    </Box>
  );
};
