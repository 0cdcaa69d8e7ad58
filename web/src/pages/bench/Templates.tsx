import { useMemo } from 'react';
import { Box } from '@chakra-ui/react';
import { drawTemplate } from '@rubbet/core/draw';
import type { Build } from '@rubbet/core/unit';
import { DrawingView } from '../../parts/DrawingView.tsx';

/** Pieces of a step that are notched or slanting, once a mark, with every cut dimensioned from one end. */
export const Templates = ({ build, parts }: { readonly build: Build; readonly parts: readonly string[] }) => {
  const drawings = useMemo(() => {
    const seen = new Set<string>();
    return build.parts.flatMap((p) => {
      if (!parts.includes(p.id) || seen.has(p.mark)) return [];
      seen.add(p.mark);
      const drawing = drawTemplate(p);
      return drawing ? [{ mark: p.mark, drawing }] : [];
    });
  }, [build, parts]);
  if (drawings.length === 0) return null;
  return (
    <Box mt={5} data-testid="templates">
      <Box className="cond" fontSize="22px" mb={2}>
        Templates: mark all cuts from the left end
      </Box>
      <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(min(380px, 100%), 1fr))" gap={4}>
        {drawings.map(({ mark, drawing }) => (
          <Box key={mark} bg="sheet" border="1px solid" borderColor="soft" p={2}>
            <Box fontWeight={650}>{drawing.title}</Box>
            <Box height="190px">
              <DrawingView drawing={drawing} pixels={400} />
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
};
