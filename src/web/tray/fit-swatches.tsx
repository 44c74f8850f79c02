import { format } from 'date-fns';
import { toast } from 'sonner';
import type { Pencil, TrayFit } from '../../contracts/index.ts';
import {
  LAYDOWN_MODEL,
  PRESSURES,
  type Paper,
  SHARED_NUMBERS,
  type SharedNumber,
  bareAfter,
  fittedPaper,
  paperById,
  passesUntilFilled,
} from '../../core/laydown/index.ts';
import { withLearnt } from '../../pencils/index.ts';
import { useFitsQuery, useSwatchesOnQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { usePaper } from '../api/use-paper.ts';
import { Button, Notice, Progress, Section, Why } from '../parts/index.ts';
import { useFit } from './use-fit.ts';

/** What the swatches of a tray say of a paper, of the hand that laid them, and of each pencil. */
export function FitSwatches({ trayId, pencils, paper }: { trayId: string; pencils: readonly Pencil[]; paper: string }) {
  const { data: swatches, error } = useSwatchesOnQuery({ trayId, paper });
  const { data: fits = [] } = useFitsQuery(trayId);
  const { now, fit, cancel } = useFit(trayId, paper);
  const use = usePaper(trayId, paper);
  const found = fits.find((each) => each.paper === paper);
  const { name } = paperById(paper);
  const run = async () => {
    try {
      const content = await fit();
      if (content) toast(`${content.pencils.length} pencils are fitted to their swatches on ${name}.`);
    } catch (refused) {
      toast.error(sentenceOf(refused));
    }
  };
  if (pencils.length === 0) return null;
  return (
    <Section title="How sure these colours are">
      {error && <Notice kind="refused">{sentenceOf(error)}</Notice>}
      {use?.carried && (
        <p className="text-[0.95rem]">
          Carried over from {paperById(use.fit!.paper).name}: the same hand and pencils, on a paper that differs as the
          two are declared. Colours lie about 2 off; swatches on this paper make them surer.
        </p>
      )}
      {swatches?.length === 0 && !use?.fit && (
        <p className="text-[0.95rem]">
          All are declared: no swatch has been read on {name}. Expect what comes out to differ clearly, by 5 to 15.{' '}
          <Why of="by how much">
            CIEDE2000, about 1 is just seen. On the demo’s pencils, declared colours miss two passes over each other by
            about 9 and six light ones by about 17, since nobody has told how hard the hand presses.
          </Why>
        </p>
      )}
      {found && found.fit.model === LAYDOWN_MODEL && <FittedPaper fit={found} />}
      {found && found.fit.model !== LAYDOWN_MODEL && (
        <p className="text-[0.95rem]">
          These swatches were fitted with an earlier edition of the layer model, so colours are shown as declared. The
          swatches are kept: fit them again.
        </p>
      )}
      {swatches && swatches.length > 0 && now.state !== 'working' && (
        <Button look={found ? 'plain' : 'strong'} className="mt-2 w-full" onClick={() => void run()}>
          {found ? 'Fit again' : 'Fit'} to {swatches.length} swatches on this paper
        </Button>
      )}
      {now.state === 'working' && <Progress share={now.share} doing={`${now.doing} …`} onCancel={cancel} />}
      {now.state === 'refused' && <Notice kind="refused">{now.sentence}</Notice>}
    </Section>
  );
}

/** What each number stands for that all pencils share. */
const SHARED_WORDS: Readonly<Record<SharedNumber, string>> = {
  rough: 'its relief',
  stray: 'stray contact',
  tooth: 'its tooth',
  spread: 'how pigment spreads',
  crush: 'how a hard press crushes tooth',
  yuleNielsen: 'how light spreads in it',
  light: 'your light press',
  medium: 'your medium press',
  firm: 'your firm press',
  slope: 'how pigments scatter',
  tinted: 'what colour they scatter',
};

/** How a paper fills under some passes, in a few words. */
function howItFills(paper: Paper): string {
  const bare = Math.round(100 * bareAfter(paper, 'light', 4));
  const until = (['light', 'medium'] as const).map((pressure) => {
    const passes = passesUntilFilled(paper, pressure);
    return passes === null ? `never by ${pressure} ones` : `after ${passes} ${pressure}`;
  });
  return `Four light layers leave ${bare}% bare; it is filled ${until.join(' or ')}.`;
}

/** What was found of the paper and the hand, in a few numbers. */
function FittedPaper({ fit: { paper, fit, learnt, pencils, at } }: { fit: TrayFit }) {
  const apart = pencils.map(({ fit: own }) => own.apart).sort((a, b) => a - b);
  const doubtful = pencils.filter(({ fit: own }) => own.doubtful.length > 0).length;
  const told = (name: SharedNumber, value: number) =>
    fit.atBound.includes(name) ? 'not to be told' : value.toFixed(2);
  const pressed = PRESSURES.flatMap((pressure) => {
    const factor = (fit.hand[pressure] ?? 1) * (learnt[pressure] ?? 1);
    if (!fit.hand[pressure] && !learnt[pressure]) return [];
    if (pressure === 'whisper' && !learnt.whisper) return [];
    const sought = SHARED_NUMBERS.find((name) => name === pressure);
    return [
      sought ? `${pressure}\u00a0×\u00a0${told(sought, factor)}` : `${pressure}\u00a0×\u00a0${factor.toFixed(2)}`,
    ];
  });
  const filled = fittedPaper(paperById(paper), { ...fit, hand: withLearnt(fit.hand, learnt) });
  const unsure =
    fit.atBound.length > 0
      ? `The swatches do not tell: ${fit.atBound.map((name) => SHARED_WORDS[name]).join(', ')}. Light patches laid two, four and eight times over themselves tell more.`
      : '';
  const taught = PRESSURES.filter((pressure) => learnt[pressure]);
  return (
    <dl className="grid gap-1.5 text-[0.95rem]">
      <div>
        <dt className="text-soft">
          {pencils.length} {pencils.length === 1 ? 'pencil' : 'pencils'} fitted, {format(new Date(at), 'd MMM, HH:mm')}
        </dt>
        <dd>
          Model and swatches lie <strong>{apart[apart.length >> 1]?.toFixed(1) ?? '0'}</strong> apart for most
          {doubtful > 0 && `; ${doubtful} have a patch worth reading again`}.{' '}
          <Why of="how far apart">
            Root mean square of CIEDE2000 over a pencil’s patches but the full one, which is met exactly; the middle of
            all pencils. What is left over is an uneven hand, noise, and what the model does not know.
          </Why>
        </dd>
      </div>
      <div>
        <dt className="text-soft">Your hand, beside what a pressure means</dt>
        <dd>
          <span className="font-figure">{pressed.join(', ') || 'as the names mean'}</span>
          {taught.length > 0 && `, ${taught.join(' and ')} as trials taught since`}{' '}
          <Why of="your hand">
            1 presses as the layer model means the word. Below 1, a patch of that name was laid more softly than meant,
            as the swatches show; it is kept apart from what the pencils themselves lay. A whisper is on no card and is
            taken to be as your light press is.
          </Why>
        </dd>
      </div>
      <div>
        <dt className="text-soft">This paper</dt>
        <dd>
          {howItFills(filled)}{' '}
          <Why of="how this paper fills">
            Foretold for a wax pencil in your hand; filled is where at most 5% of the paper shows. From its relief (
            {told('rough', fit.rough)} times a smooth book page’s), how much a press strays into the valleys (
            {told('stray', fit.stray)}) and its tooth ({told('tooth', fit.tooth)}). {unsure}
          </Why>
        </dd>
      </div>
    </dl>
  );
}
