import { chakra } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import type { ReactNode } from 'react';

const HOLD_MS = 900;
const Frame = chakra('button', {
  base: {
    position: 'relative',
    minH: '112px',
    width: '100%',
    textAlign: 'center',
    fontFamily: 'heading',
    fontStretch: '86%',
    fontWeight: 640,
    fontSize: '24px',
    bg: 'mosswash',
    overflow: 'hidden',
  },
});

/** A button that must be held, so that a glove's brush undoes nothing. Space or Enter held does the same. */
export const HoldButton = ({ onHeld, children }: { readonly onHeld: () => void; readonly children: ReactNode }) => {
  const [held, setHeld] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const start = (): void => {
    if (timer.current) return;
    setHeld(true);
    timer.current = setTimeout(() => {
      timer.current = undefined;
      setHeld(false);
      onHeld();
    }, HOLD_MS);
  };
  const stop = (): void => {
    clearTimeout(timer.current);
    timer.current = undefined;
    setHeld(false);
  };
  useEffect(() => () => clearTimeout(timer.current), []);
  return (
    <Frame
      onPointerDown={start}
      onPointerUp={stop}
      onPointerLeave={stop}
      onKeyDown={(e) => (e.key === ' ' || e.key === 'Enter') && start()}
      onKeyUp={stop}
    >
      <span
        style={{
          position: 'absolute',
          left: 0,
          top: 0,
          bottom: 0,
          background: 'var(--rb-colors-tape)',
          width: held ? '100%' : '0%',
          transition: held ? `width ${HOLD_MS}ms linear` : 'none',
          opacity: 0.6,
        }}
      />
      <span style={{ position: 'relative' }}>{children}</span>
    </Frame>
  );
};
