import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import type { Quantity } from '@rubbet/core/order';
import { api } from '../../data/api.ts';
import { readFigure, showFigure } from '../../data/figures.ts';
import type { FleetData } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Field, Input, LengthInput } from '../../parts/Fields.tsx';
import { FormSheet, Labelled } from '../../parts/FormSheet.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft } from '../../parts/Text.tsx';

type Trailer = FleetData['trailers'][number];
type Vehicle = FleetData['vehicles'][number];
type Kind = 'trailers' | 'vehicles';

/** What the business delivers with: trailers with beds and limits, and what pulls them. */
export const FleetPage = () => {
  const show = useShow();
  const { data, error, mutate } = useSWR<FleetData, Error>('/fleet');
  const [trailer, setTrailer] = useState<Trailer | 'new'>();
  const [vehicle, setVehicle] = useState<Vehicle | 'new'>();
  const { tell, fail } = useNotice();
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const kept = async (next: FleetData): Promise<void> => {
    await mutate(next, { revalidate: false });
    tell('It is kept; loads are judged by it from now on.');
  };
  const setActive = (kind: Kind, record: Trailer | Vehicle): void => {
    api<FleetData>(`/fleet/${kind}/${record.id}`, {
      method: 'PATCH',
      body: { version: record.version, active: !record.active },
    })
      .then((next) => mutate(next, { revalidate: false }))
      .catch((e: unknown) => {
        fail(e);
        void mutate();
      });
  };
  const actions = (kind: Kind, record: Trailer | Vehicle, change: () => void) => (
    <td>
      <Box display="flex" gap={2} justifyContent="flex-end">
        <QuietButton onClick={change}>Change</QuietButton>
        <QuietButton onClick={() => setActive(kind, record)}>
          {record.active ? 'Goes out no more' : 'Goes out again'}
        </QuietButton>
      </Box>
    </td>
  );
  const named = (record: Trailer | Vehicle) => (
    <td className="cond">
      {record.name}
      {!record.active && <Soft> (goes out no more)</Soft>}
    </td>
  );
  return (
    <Box display="grid" gap={8}>
      <Box>
        <Box display="flex" alignItems="center" mb={1}>
          <Heading>Trailers</Heading>
          <Button ml="auto" onClick={() => setTrailer('new')}>
            Add a trailer
          </Button>
        </Box>
        {data.trailers.length === 0 && <Empty>No trailer yet. Without one no delivery can be set.</Empty>}
        <Box overflowX="auto">
          <table className="stack">
            <thead>
              <tr>
                <th>Name</th>
                <th>Bed</th>
                <th className="num">Bed over ground</th>
                <th className="num">Carries</th>
                <th className="num">Weighs</th>
                <th>Bed tilts</th>
                <th>
                  <span className="sr">What to do</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {data.trailers.map((t) => (
                <tr key={t.id} data-trailer={t.id}>
                  {named(t)}
                  <td data-label="Bed">
                    {show.length(t.bedLength)} × {show.length(t.bedWidth)}
                  </td>
                  <td className="num" data-label="Over ground">
                    {show.length(t.bedHeight)}
                  </td>
                  <td className="num" data-label="Carries">
                    {show.weight(t.carries)}
                  </td>
                  <td className="num" data-label="Weighs">
                    {show.weight(t.weight)}
                  </td>
                  <td data-label="Tilts">{t.tilt ? 'yes' : 'no'}</td>
                  {actions('trailers', t, () => setTrailer(t))}
                </tr>
              ))}
            </tbody>
          </table>
        </Box>
      </Box>
      <Box>
        <Box display="flex" alignItems="center" mb={1}>
          <Heading>What pulls them</Heading>
          <Button ml="auto" onClick={() => setVehicle('new')}>
            Add a vehicle
          </Button>
        </Box>
        <Box overflowX="auto">
          <table className="stack">
            <thead>
              <tr>
                <th>Name</th>
                <th className="num">Tows</th>
                <th className="num">Hitch bears</th>
                <th>
                  <span className="sr">What to do</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {data.vehicles.map((v) => (
                <tr key={v.id} data-vehicle={v.id}>
                  {named(v)}
                  <td className="num" data-label="Tows">
                    {show.weight(v.tows)}
                  </td>
                  <td className="num" data-label="Hitch bears">
                    {show.weight(v.tongue)}
                  </td>
                  {actions('vehicles', v, () => setVehicle(v))}
                </tr>
              ))}
            </tbody>
          </table>
        </Box>
        <Soft>The plates of vehicle and trailer decide; the road office of your county has the last word.</Soft>
      </Box>
      {trailer && (
        <TrailerSheet
          trailer={trailer === 'new' ? undefined : trailer}
          onClose={() => setTrailer(undefined)}
          onKept={kept}
        />
      )}
      {vehicle && (
        <VehicleSheet
          vehicle={vehicle === 'new' ? undefined : vehicle}
          onClose={() => setVehicle(undefined)}
          onKept={kept}
        />
      )}
    </Box>
  );
};

/** A figure typed in the reader's units. */
const FigureInput = ({
  label,
  kind,
  text,
  onChange,
}: {
  readonly label: string;
  readonly kind: Quantity;
  readonly text: string;
  readonly onChange: (text: string) => void;
}) => {
  const show = useShow();
  return (
    <Field label={`${label}, ${show.unit(kind)}`}>
      {(id) => <Input id={id} inputMode="decimal" value={text} onChange={(e) => onChange(e.target.value)} />}
    </Field>
  );
};

interface SheetProps {
  readonly onClose: () => void;
  readonly onKept: (next: FleetData) => Promise<void>;
}

const TrailerSheet = ({ trailer, onClose, onKept }: SheetProps & { readonly trailer: Trailer | undefined }) => {
  const show = useShow();
  const [name, setName] = useState(trailer?.name ?? '');
  const [bed, setBed] = useState({
    bedLength: trailer?.bedLength,
    bedWidth: trailer?.bedWidth,
    bedHeight: trailer?.bedHeight,
  });
  const [carries, setCarries] = useState(showFigure('weight', trailer?.carries, show));
  const [weight, setWeight] = useState(showFigure('weight', trailer?.weight, show));
  const [tilt, setTilt] = useState(trailer?.tilt ?? false);
  const body = {
    name,
    ...bed,
    carries: readFigure('weight', carries, trailer?.carries, show),
    weight: readFigure('weight', weight, trailer?.weight, show),
    tilt,
  };
  return (
    <FormSheet
      title={trailer ? `Change the ${trailer.name}` : 'Add a trailer'}
      yes={trailer ? 'Keep' : 'Add'}
      ready={name.trim().length >= 2 && Object.values(body).every((v) => v !== undefined)}
      onClose={onClose}
      onKeep={async () =>
        onKept(
          trailer
            ? await api<FleetData>(`/fleet/trailers/${trailer.id}`, {
                method: 'PATCH',
                body: { version: trailer.version, ...body },
              })
            : await api<FleetData>('/fleet/trailers', { method: 'POST', body }),
        )
      }
    >
      <Field label="Name">{(id) => <Input id={id} value={name} onChange={(e) => setName(e.target.value)} />}</Field>
      <Labelled label="Bed: length, width, height over the ground">
        <Box display="grid" gridTemplateColumns="repeat(3, 1fr)" gap={3}>
          {(
            [
              ['bedLength', 'Length of the bed', 48, 640],
              ['bedWidth', 'Width of the bed', 36, 120],
              ['bedHeight', 'Height of the bed', 6, 60],
            ] as const
          ).map(([side, label, min, max]) => (
            <LengthInput
              key={side}
              label={label}
              value={bed[side]}
              min={min}
              max={max}
              onChange={(v) => setBed((b) => ({ ...b, [side]: v }))}
            />
          ))}
        </Box>
      </Labelled>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap={3}>
        <FigureInput label="Carries" kind="weight" text={carries} onChange={setCarries} />
        <FigureInput label="Weighs empty" kind="weight" text={weight} onChange={setWeight} />
      </Box>
      <label>
        <input type="checkbox" checked={tilt} onChange={(e) => setTilt(e.target.checked)} /> The bed tilts
      </label>
    </FormSheet>
  );
};

const VehicleSheet = ({ vehicle, onClose, onKept }: SheetProps & { readonly vehicle: Vehicle | undefined }) => {
  const show = useShow();
  const [name, setName] = useState(vehicle?.name ?? '');
  const [tows, setTows] = useState(showFigure('weight', vehicle?.tows, show));
  const [tongue, setTongue] = useState(showFigure('weight', vehicle?.tongue, show));
  const body = {
    name,
    tows: readFigure('weight', tows, vehicle?.tows, show),
    tongue: readFigure('weight', tongue, vehicle?.tongue, show),
  };
  return (
    <FormSheet
      title={vehicle ? `Change the ${vehicle.name}` : 'Add a vehicle'}
      yes={vehicle ? 'Keep' : 'Add'}
      ready={name.trim().length >= 2 && body.tows !== undefined && body.tongue !== undefined}
      onClose={onClose}
      onKeep={async () =>
        onKept(
          vehicle
            ? await api<FleetData>(`/fleet/vehicles/${vehicle.id}`, {
                method: 'PATCH',
                body: { version: vehicle.version, ...body },
              })
            : await api<FleetData>('/fleet/vehicles', { method: 'POST', body }),
        )
      }
    >
      <Field label="Name">{(id) => <Input id={id} value={name} onChange={(e) => setName(e.target.value)} />}</Field>
      <FigureInput label="Tows at most" kind="weight" text={tows} onChange={setTows} />
      <FigureInput label="Its hitch bears" kind="weight" text={tongue} onChange={setTongue} />
    </FormSheet>
  );
};
