import { Box, chakra } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { api } from '../../data/api.ts';
import type { WorkOrder } from '../../data/types.ts';
import { QuietButton } from '../../parts/Button.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Soft } from '../../parts/Text.tsx';
import { shrinkPhoto } from './shrinkPhoto.ts';

/** What was noted at a step besides: photos, and troubles with what the office says. */
export const StepNotes = ({
  work,
  stepId,
  row,
  mayWrite,
  onWork,
}: {
  readonly work: WorkOrder;
  readonly stepId: string;
  readonly row: number | undefined;
  readonly mayWrite: boolean;
  readonly onWork: (work: WorkOrder) => unknown;
}) => {
  const { tell, fail } = useNotice();
  const file = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const path = `/orders/${work.order.id}/work-order`;
  const photos = work.photos.filter((p) => p.stepId === stepId);
  const troubles = work.troubles.filter((t) => t.stepId === stepId);
  const add = async (picked: File | undefined): Promise<void> => {
    if (!picked || row === undefined) return;
    setBusy(true);
    try {
      await onWork(
        await api<WorkOrder>(`${path}/photos`, {
          method: 'POST',
          body: { step: row, data: await shrinkPhoto(picked) },
        }),
      );
      tell('The photo is kept with this step.');
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
      if (file.current) file.current.value = '';
    }
  };
  const remove = async (id: number): Promise<void> => {
    try {
      await onWork(await api<WorkOrder>(`${path}/photos/${id}`, { method: 'DELETE' }));
    } catch (e) {
      fail(e);
    }
  };
  return (
    <Box mt={3}>
      {troubles.map((t) => (
        <Box
          key={t.id}
          bg={t.solvedAt === null ? 'keelwash' : 'mosswash'}
          borderLeft="5px solid"
          borderColor={t.solvedAt === null ? 'keel' : 'moss'}
          px={3}
          py={2}
          mb={2}
          data-testid="told"
        >
          <strong className="cond">{t.cause}</strong>
          {t.mark && ` ${t.mark}`}
          {t.note && `: ${t.note}`} <Soft>told by {t.by}</Soft>
          <Box>{t.solvedAt === null ? 'The office knows; no answer yet.' : `${t.solvedBy ?? ''}: ${t.answer}`}</Box>
        </Box>
      ))}
      <Box display="flex" gap={2} flexWrap="wrap" alignItems="start">
        {photos.map((p) => (
          <Box key={p.id} position="relative" data-testid="photo">
            <a href={`/api${path}/photos/${p.id}`} target="_blank" rel="noreferrer">
              <img
                src={`/api${path}/photos/${p.id}`}
                alt={`Photo by ${p.by}`}
                loading="lazy"
                style={{ height: 96, width: 128, objectFit: 'cover' }}
              />
            </a>
            {mayWrite && (
              <chakra.button
                position="absolute"
                top={0}
                right={0}
                minW="32px"
                minH="32px"
                bg="paper"
                textAlign="center"
                aria-label="Take the photo out"
                onClick={() => void remove(p.id)}
              >
                ×
              </chakra.button>
            )}
          </Box>
        ))}
        {mayWrite && row !== undefined && (
          <>
            <input
              ref={file}
              type="file"
              accept="image/jpeg,image/png,image/webp"
              capture="environment"
              aria-label="Photo of this step"
              hidden
              onChange={(e) => void add(e.target.files?.[0])}
            />
            <QuietButton minH="44px" disabled={busy} onClick={() => file.current?.click()}>
              Add a photo
            </QuietButton>
          </>
        )}
      </Box>
    </Box>
  );
};
