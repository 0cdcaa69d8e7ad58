import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useShow } from '../../data/useShow.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Field, TextArea } from '../../parts/Fields.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

/** What a sheet that was read is answered with. */
interface Read {
  readonly faults: readonly { readonly row: number; readonly message: string }[];
  readonly applied: boolean;
}

/** Reads a table from a file or from what is pasted: looked at first, row by row, then taken over whole or not at all. */
export const CsvBox = <T extends Read>({
  title,
  help,
  example,
  send,
  done,
  after,
  rows,
  head,
}: {
  readonly title: string;
  readonly help: string;
  readonly example: string;
  readonly send: (csv: string, apply: boolean) => Promise<T>;
  readonly done: string;
  readonly after: () => void;
  /** What it would change, as cells. */
  readonly rows: (answer: T) => readonly (readonly string[])[];
  readonly head: readonly string[];
}) => {
  const show = useShow();
  const { tell, fail } = useNotice();
  const [csv, setCsv] = useState('');
  const [answer, setAnswer] = useState<T>();
  const [busy, setBusy] = useState(false);
  const ask = async (apply: boolean): Promise<void> => {
    setBusy(true);
    try {
      const next = await send(csv, apply);
      setAnswer(next);
      if (next.applied) {
        setCsv('');
        setAnswer(undefined);
        tell(done);
        after();
      }
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const ready = answer !== undefined && answer.faults.length === 0;
  return (
    <Box data-testid="csv">
      <Heading mb={1}>{title}</Heading>
      <Box mb={2}>
        <Soft>{help}</Soft>
      </Box>
      <Field label="The table">
        {(id) => (
          <TextArea
            id={id}
            rows={7}
            placeholder={example}
            value={csv}
            onChange={(e) => {
              setCsv(e.target.value);
              setAnswer(undefined);
            }}
          />
        )}
      </Field>
      <Box display="flex" gap={3} mt={2} flexWrap="wrap" alignItems="center">
        <QuietButton as="label" cursor="pointer" tabIndex={-1}>
          From a file
          <input
            type="file"
            className="sr"
            accept=".csv,text/csv,text/plain"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file)
                file.text().then((text) => {
                  setCsv(text);
                  setAnswer(undefined);
                }, fail);
              e.target.value = '';
            }}
          />
        </QuietButton>
        <QuietButton disabled={csv.trim() === '' || busy} onClick={() => void ask(false)}>
          Look at it first
        </QuietButton>
        {ready && (
          <Button disabled={busy} onClick={() => void ask(true)}>
            Take it over
          </Button>
        )}
      </Box>
      {answer !== undefined && answer.faults.length > 0 && (
        <Box mt={3} bg="keelwash" borderLeft="5px solid" borderColor="keel" px={3} py={2} role="alert">
          <b>Nothing was taken over. Mend these rows and look at it again:</b>
          {answer.faults.slice(0, 30).map((f, i) => (
            <Box key={i}>
              Row {f.row}: {show.text(f.message)}
            </Box>
          ))}
          {answer.faults.length > 30 && <Box>and {answer.faults.length - 30} more.</Box>}
        </Box>
      )}
      {ready && (
        <Box mt={3} maxH="50vh" overflowY="auto">
          <table>
            <thead>
              <tr>
                {head.map((h, i) => (
                  <th key={h} className={i > 0 ? 'num' : ''}>
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows(answer).map((cells, i) => (
                <tr key={i}>
                  {cells.map((c, k) => (
                    <td key={k} className={k > 0 ? 'num' : ''}>
                      {c}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </Box>
      )}
    </Box>
  );
};
