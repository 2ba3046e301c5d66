import { AIR_TEMPERATURE, percentSpec } from '../specs';

/** The air over what is tested, as every test of a floor asks for it: its temperature, its humidity. */
export const ROOM_AIR = { label: 'Air of the room', ...AIR_TEMPERATURE, required: true } as const;
export const ROOM_HUMIDITY = { label: 'Its humidity', ...percentSpec('1', '100'), required: true } as const;
