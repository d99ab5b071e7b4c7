import { type Scale, type ScalePlay, simulatedScale } from '@/devices/scale';
import { type Scanner, type ScannerPlay, simulatedScanner } from '@/devices/scanner';
import { simulatedThermometer, type Thermometer, type ThermometerPlay } from '@/devices/thermometer';

const now = (): number => performance.now();

/** The devices of this kitchen: stand-ins until real ones are plugged in behind the same interfaces. */
export const scale: Scale & ScalePlay = simulatedScale(now, Math.random);
export const scanner: Scanner & ScannerPlay = simulatedScanner(now, Math.random);
export const thermometer: Thermometer & ThermometerPlay = simulatedThermometer(now, Math.random);
