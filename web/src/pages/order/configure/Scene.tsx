import { useEffect, useRef, useState } from 'react';
import type { LaidFoundation } from '@rubbet/core/site';
import type { Build } from '@rubbet/core/unit';
import type { Finding } from '@rubbet/core/check';
import { Box } from '@chakra-ui/react';
import type { Show } from './ShowTabs.tsx';
import { makeStage } from './stage.ts';
import type { Pin, Stage } from './stage.ts';

const COLOUR = {
  stop: 'var(--rb-colors-keel)',
  warn: 'var(--rb-colors-amber)',
  tip: 'var(--rb-colors-chalk)',
} as const;

/** The unit in the round: drag or arrow keys turn it, the wheel brings it nearer; findings are pinned to their parts. */
export const Scene = ({
  build,
  show,
  findings,
  pinned,
  laid,
  onPin,
}: {
  readonly build: Build;
  readonly show: Show;
  readonly findings: readonly Finding[];
  readonly pinned: number | undefined;
  /** What it stands on, drawn with it; nothing for what stands on grass. */
  readonly laid: LaidFoundation | undefined;
  readonly onPin: (n: number | undefined) => void;
}) => {
  const host = useRef<HTMLDivElement>(null);
  const stage = useRef<Stage | null>(null);
  const [pins, setPins] = useState<readonly Pin[]>([]);
  const [fault, setFault] = useState<string>();

  useEffect(() => {
    if (!host.current) return;
    try {
      stage.current = makeStage(host.current, setPins);
    } catch {
      setFault('This screen cannot draw in the round; the elevations below show the same build.');
    }
    return () => {
      stage.current?.dispose();
      stage.current = null;
    };
  }, []);
  useEffect(() => {
    const marked = pinned === undefined ? [] : (findings[pinned]?.where ?? []);
    stage.current?.show(
      build,
      show,
      marked,
      findings.map((f) => f.where[0]),
      laid,
    );
  }, [build, show, findings, pinned, laid]);

  return (
    <Box position="absolute" inset={0} overflow="hidden">
      <Box
        ref={host}
        position="absolute"
        inset={0}
        tabIndex={0}
        role="img"
        aria-label="The unit in the round. Arrow keys turn it, plus and minus bring it nearer."
        onKeyDown={(e) => {
          const turn = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
          if (turn) {
            e.preventDefault();
            stage.current?.turn(turn[0] ?? 0, turn[1] ?? 0);
          } else if (e.key === '+' || e.key === '-') stage.current?.zoom(e.key === '+' ? 1.15 : 1 / 1.15);
        }}
      />
      {fault && (
        <Box p={6} color="soft">
          {fault}
        </Box>
      )}
      {pins.map((p) => {
        const f = findings[p.index];
        if (!f) return null;
        return (
          <button
            key={p.index}
            aria-label={`Note ${p.index + 1}`}
            onClick={() => onPin(pinned === p.index ? undefined : p.index)}
            style={{
              position: 'absolute',
              left: p.x - 11,
              top: p.y - 11,
              width: 22,
              height: 22,
              background: COLOUR[f.severity],
              color: 'var(--rb-colors-sheet)',
              textAlign: 'center',
              font: "700 13px 'Archivo Variable'",
              outline: pinned === p.index ? '3px solid var(--rb-colors-tape)' : undefined,
            }}
          >
            {p.index + 1}
          </button>
        );
      })}
    </Box>
  );
};
