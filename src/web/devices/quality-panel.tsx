import type { Quality } from '../../contracts/index.ts';
import { Button, Choice } from '../parts/index.ts';

/** How well a simulated device works, and a way to let it happen otherwise; the same number gives the same again. */
export function QualityPanel({
  quality,
  seed,
  onQuality,
  onSeed,
}: {
  quality: Quality;
  seed: number;
  onQuality(quality: Quality): void;
  onSeed(seed: number): void;
}) {
  return (
    <fieldset className="border border-rule p-3">
      <legend className="px-1 text-[0.95rem] font-semibold">How well it works</legend>
      <Choice<Quality>
        label="How well it works"
        value={quality}
        options={[
          { value: 'good', label: 'Good' },
          { value: 'middling', label: 'Middling' },
          { value: 'bad', label: 'Bad' },
        ]}
        onChange={onQuality}
      />
      <div className="mt-2 flex items-center justify-between gap-2">
        <span className="text-[0.95rem] text-soft">
          try <span className="font-figure text-ink">{seed}</span>, the same each time
        </span>
        <Button onClick={() => onSeed(seed + 1)}>Another try</Button>
      </div>
    </fieldset>
  );
}
