import type { DataProtocol } from './protocol';

/** The Data station's questions, whose code is loaded when the first of them is asked. */
export function dataLater(load: () => Promise<DataProtocol>): DataProtocol {
  let loaded: Promise<DataProtocol> | undefined;
  const data = () => {
    loaded ??= load();
    return loaded;
  };
  return {
    rows: async (...asked) => (await data()).rows(...asked),
    evidence: async (...asked) => (await data()).evidence(...asked),
    betterReadings: async (...asked) => (await data()).betterReadings(...asked),
    seen: async (...asked) => (await data()).seen(...asked),
    misfits: async (...asked) => (await data()).misfits(...asked),
    proposals: async (...asked) => (await data()).proposals(...asked),
    tryType: async (...asked) => (await data()).tryType(...asked),
    tryDecoding: async (...asked) => (await data()).tryDecoding(...asked),
    bringSource: async (...asked) => (await data()).bringSource(...asked),
    importAgain: async (...asked) => (await data()).importAgain(...asked),
    bringSet: async (...asked) => (await data()).bringSet(...asked),
    setFrom: async (...asked) => (await data()).setFrom(...asked),
    readAt: async (...asked) => (await data()).readAt(...asked),
    places: async (...asked) => (await data()).places(...asked),
    pathFault: async (...asked) => (await data()).pathFault(...asked),
    pathSteps: async (...asked) => (await data()).pathSteps(...asked),
    foundBy: async (...asked) => (await data()).foundBy(...asked),
    changeOf: async (...asked) => (await data()).changeOf(...asked),
    change: async (...asked) => (await data()).change(...asked),
    make: async (...asked) => (await data()).make(...asked),
    nasty: async (...asked) => (await data()).nasty(...asked),
    follow: async (...asked) => (await data()).follow(...asked),
    more: async (...asked) => (await data()).more(...asked),
    refresh: async (...asked) => (await data()).refresh(...asked),
    look: async (...asked) => (await data()).look(...asked),
    showSet: async (...asked) => (await data()).showSet(...asked),
  };
}
