import { Box } from '@chakra-ui/react';
import type { Drawing } from '@rubbet/core/draw';
import { ChoiceButton } from '../../../parts/Button.tsx';
import { DrawingView } from '../../../parts/DrawingView.tsx';

export const VIEWS = ['front', 'right', 'back', 'left', 'plan', 'section'] as const;
export type View = 'three' | (typeof VIEWS)[number];

/** Thumbnails of every view, to choose the large one by. */
export const ViewRail = ({
  thumbs,
  view,
  onView,
}: {
  readonly thumbs: readonly (readonly [View, Drawing])[];
  readonly view: View;
  readonly onView: (view: View) => void;
}) => (
  <Box display="grid" gridTemplateColumns="repeat(7, minmax(0,1fr))" gap="8px" px={4} pb={3}>
    {[['three', undefined] as const, ...thumbs].map(([v, drawing]) => (
      <ChoiceButton
        key={v}
        aria-pressed={view === v}
        onClick={() => onView(v)}
        display="flex"
        flexDirection="column"
        p="4px 6px"
        height="76px"
        css={{ '&[aria-pressed=true]': { bg: 'chalkwash', borderColor: 'chalk', color: 'ink' } }}
      >
        <Box flex={1} minH={0} width="100%">
          {drawing ? (
            <DrawingView
              drawing={{ ...drawing, items: drawing.items.filter((i) => i.kind === 'area') }}
              pixels={110}
              label={`${v} thumbnail`}
            />
          ) : (
            <svg viewBox="0 0 60 40" width="100%" height="100%" aria-hidden="true">
              <path
                d="M12 28 L12 14 L30 6 L48 14 L48 28 L30 36Z M12 14 L30 22 L48 14 M30 22 V36"
                fill="none"
                stroke="currentColor"
                strokeWidth="1.6"
              />
            </svg>
          )}
        </Box>
        <span className="cond" style={{ fontSize: 12.5 }}>
          {v === 'three' ? 'in the round' : v}
        </span>
      </ChoiceButton>
    ))}
  </Box>
);
