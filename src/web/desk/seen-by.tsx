import { LAMPS, LAMP_DOUBT } from '../../core/colour/index.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { Select, Why } from '../parts/index.ts';
import { seeBy } from './at-the-desk.ts';

const DAYLIGHT = 'daylight';

/** By which light pages and pencils are shown, and how far that can be trusted. */
export function SeenBy({ className }: { className?: string }) {
  const dispatch = useAppDispatch();
  const lamp = useAppSelector((state) => state.atTheDesk.lamp);
  const options = [
    { value: DAYLIGHT, label: 'by daylight', says: 'As pages are planned and pencils are told.' },
    ...LAMPS.map(({ id, name, says }) => ({ value: id, label: `by ${name}`, says })),
  ];
  return (
    <span className={className}>
      <Select
        label="Seen"
        value={lamp ?? DAYLIGHT}
        options={options}
        onChange={(id) => dispatch(seeBy(id === DAYLIGHT ? null : id))}
      />
    </span>
  );
}

/** What there is to doubt of colours under a lamp; nothing by daylight. */
export function LampDoubt() {
  const lamp = useAppSelector((state) => state.atTheDesk.lamp);
  if (lamp === null) return null;
  return (
    <p className="pb-2 text-[0.9rem] text-soft">
      About, not for matching two pencils.{' '}
      <Why of="how sure this is">
        Pencils are known by their colour in daylight, not by their spectrum, which is guessed from it; eyes are taken
        to be used to the lamp. Nine colours of ten lie within about {LAMP_DOUBT} (CIEDE2000) of what such a lamp shows.
        How bright it is, and your own bulb’s spectrum, are left out.
      </Why>
    </p>
  );
}
