import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { deskApi } from '../api/desk-api.ts';
import { atTheDesk } from '../desk/at-the-desk.ts';

export const store = configureStore({
  reducer: { [deskApi.reducerPath]: deskApi.reducer, atTheDesk: atTheDesk.reducer },
  middleware: (defaults) => defaults().concat(deskApi.middleware),
});

export type State = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<State>();
