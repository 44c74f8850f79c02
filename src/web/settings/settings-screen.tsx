import { toast } from 'sonner';
import { type Settings, type SettingsEdit, MOST_UNDO_BYTES, defaultSettings } from '../../contracts/index.ts';
import { useSettingsQuery, useEditSettingsMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { Header } from '../desk/header.tsx';
import { DemoSection } from './demo-section.tsx';
import { Choice } from '../parts/index.ts';

/** How the desk looks to this person. */
export function SettingsScreen() {
  const { data: settings = defaultSettings } = useSettingsQuery();
  const [edit] = useEditSettingsMutation();
  const set = (change: SettingsEdit) =>
    void edit(change).then(({ error }) => {
      if (error) toast.error(sentenceOf(error));
    });
  return (
    <div className="min-h-dvh">
      <Header sheetId={null} />
      <main className="mx-auto max-w-xl px-6 pt-6">
        <h1 className="text-3xl">Settings</h1>
        <div className="mt-6 grid gap-6">
          <div>
            <h2 className="mb-2 text-lg">Light in the room</h2>
            <Choice
              label="Light in the room"
              value={settings.mode}
              options={[
                { value: 'day', label: 'Day' },
                { value: 'evening', label: 'Evening' },
              ]}
              onChange={(mode) => set({ mode })}
            />
            <p className="mt-1 text-[0.95rem] text-soft">
              Evening dims the desk. Pages and pencils keep their colour, which is predicted for daylight.
            </p>
          </div>
          <div>
            <h2 className="mb-2 text-lg">Text size</h2>
            <Choice
              label="Text size"
              value={String(settings.text)}
              options={['100', '125', '150'].map((value) => ({ value, label: `${value}%` }))}
              onChange={(text) => set({ text: Number(text) as Settings['text'] })}
            />
          </div>
          <div>
            <h2 className="mb-2 text-lg">What swatches lie on</h2>
            <Choice
              label="What swatches lie on"
              value={settings.ground}
              options={[
                { value: 'light', label: 'Light' },
                { value: 'mid grey', label: 'Mid grey' },
                { value: 'paper', label: 'Paper' },
              ]}
              onChange={(ground) => set({ ground })}
            />
          </div>
          <div>
            <h2 className="mb-2 text-lg">Undo</h2>
            <p className="text-[0.95rem] text-soft">
              Every change to a sheet can be taken back, on every device and after a restart: the newest{' '}
              {MOST_UNDO_BYTES / 1024 / 1024} MB of them, which is some thousand changes. What nothing leads to any more
              is cleared while nobody works.
            </p>
          </div>
          <DemoSection />
        </div>
      </main>
    </div>
  );
}
