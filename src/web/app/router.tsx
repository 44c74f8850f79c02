import { Navigate, createBrowserRouter } from 'react-router';
import { Shelf } from '../shelf/shelf.tsx';
import { Lost } from './lost.tsx';
import { Root } from './root.tsx';

/** All but the shelf load when they are opened. */
export const router = createBrowserRouter([
  {
    element: <Root />,
    errorElement: <Lost />,
    hydrateFallbackElement: <></>,
    children: [
      { index: true, element: <Navigate to="/sheets" replace /> },
      { path: 'sheets', element: <Shelf /> },
      {
        path: 'sheets/:sheetId',
        lazy: async () => ({ Component: (await import('../desk/sheet-on-desk.tsx')).SheetOnDesk }),
        children: [
          { index: true, element: <Navigate to="sheet" replace /> },
          { path: 'sheet', lazy: async () => ({ Component: (await import('../sheet/sheet-stage.tsx')).SheetStage }) },
          // As the address was called at first; it may be kept among someone's bookmarks.
          { path: 'page', element: <Navigate to="../sheet" replace /> },
          { path: 'wheel', lazy: async () => ({ Component: (await import('../wheel/wheel-stage.tsx')).WheelStage }) },
          { path: 'light', lazy: async () => ({ Component: (await import('../light/light-stage.tsx')).LightStage }) },
          {
            path: 'layers',
            lazy: async () => ({ Component: (await import('../layers/layers-stage.tsx')).LayersStage }),
          },
          { path: 'bench', lazy: async () => ({ Component: (await import('../bench/bench-stage.tsx')).BenchStage }) },
          {
            path: 'record',
            lazy: async () => ({ Component: (await import('../record/record-stage.tsx')).RecordStage }),
          },
        ],
      },
      {
        path: 'tray/:trayId?',
        lazy: async () => ({ Component: (await import('../tray/tray-screen.tsx')).TrayScreen }),
      },
      {
        path: 'settings',
        lazy: async () => ({ Component: (await import('../settings/settings-screen.tsx')).SettingsScreen }),
      },
      { path: 'access', lazy: async () => ({ Component: (await import('./access-code.tsx')).AccessCode }) },
      { path: '*', element: <Lost /> },
    ],
  },
]);
