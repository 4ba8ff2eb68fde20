import { create, type StoreApi } from 'zustand';
import { fresh, type Work } from './state';

const store = create<Work>(() => fresh);

/** How the actions of a slice change the state; nobody else does. */
export const set: StoreApi<Work>['setState'] = store.setState;

/** The state, to be read: with a selector in components, with getState() elsewhere, and with subscribe() where what follows does not wait for the screen. It is changed by the actions of `work` only. */
export const useWork: (<T>(selector: (state: Work) => T) => T) & Pick<StoreApi<Work>, 'getState' | 'subscribe'> = store;
