import { Box } from '@chakra-ui/react';
import { useNotice } from './Notice.tsx';
import { Button, LinkButton, QuietButton } from './Button.tsx';
import { Soft } from './Text.tsx';
import type { useJob } from '../data/useJob.ts';

/** A job's button, how far it is, and what it leaves. */
export const JobLine = ({
  work,
  verb,
  again,
  quiet = false,
}: {
  readonly work: ReturnType<typeof useJob>;
  readonly verb: string;
  readonly again: string;
  readonly quiet?: boolean;
}) => {
  const { fail } = useNotice();
  const { job, running, start, stop } = work;
  const Start = quiet ? QuietButton : Button;
  return (
    <Box display="flex" gap={4} alignItems="center" flexWrap="wrap" data-job={job?.state ?? 'none'}>
      {running ? (
        <QuietButton onClick={() => void stop().catch(fail)}>Stop it</QuietButton>
      ) : (
        <Start onClick={() => void start().catch(fail)}>{job ? again : verb}</Start>
      )}
      {job && running && (
        <Box flex="1 1 220px" maxW="420px">
          <Box
            role="progressbar"
            aria-label={job.note || 'Waiting'}
            aria-valuenow={Math.round(job.progress * 100)}
            aria-valuemin={0}
            aria-valuemax={100}
            height="14px"
            bg="tapeoff"
            border="1px solid"
            borderColor="tick"
          >
            <Box
              height="100%"
              bg="tape"
              width={`${Math.round(job.progress * 100)}%`}
              backgroundImage="repeating-linear-gradient(90deg,#5A4300 0 1px,transparent 1px 8px)"
              backgroundSize="100% 6px"
              backgroundRepeat="no-repeat"
            />
          </Box>
          <Soft>{job.note || 'Waiting for its turn'} …</Soft>
        </Box>
      )}
      {job && !running && <span>{job.note}</span>}
      {job?.file != null && <LinkButton href={`/api/jobs/${job.id}/result.zip`}>Fetch {job.file}</LinkButton>}
    </Box>
  );
};
