import { useEffect } from 'react';
import { Outlet } from 'react-router';
import { Toaster } from 'sonner';
import { defaultSettings } from '../../contracts/index.ts';
import { useSettingsQuery } from '../api/desk-api.ts';

/** What lies around every screen: how the desk looks, and quiet messages. */
export function Root() {
  const { data: settings = defaultSettings } = useSettingsQuery();
  useEffect(() => {
    const { dataset } = document.documentElement;
    dataset.mode = settings.mode;
    dataset.text = String(settings.text);
    dataset.ground = settings.ground;
  }, [settings]);
  return (
    <>
      <Outlet />
      <Toaster
        style={{ fontFamily: 'inherit' }}
        position="bottom-left"
        offset={{ bottom: 128, left: 16 }}
        icons={{ error: null, success: null, info: null, warning: null }}
        toastOptions={{
          unstyled: true,
          classNames: { toast: 'solid-edge bg-leaf text-ink border border-edge p-3 w-96 max-w-full shadow-lg' },
        }}
      />
    </>
  );
}
