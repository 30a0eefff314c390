/*
 * A thermometer and hygrometer in a drying room that does not exist: weather that comes and goes over days, warmer afternoons, a
 * window that somebody opens. It depends on the instant alone, so that every screen sees the same room.
 */

const day = 86_400_000
const wave = (at: number, days: number, shift: number) =>
  Math.sin(((at / day + shift) / days) * 2 * Math.PI)
/** A number between −1 and 1 that is the same for the same minute. */
function flicker(at: number, salt: number): number {
  const x = Math.sin(Math.floor(at / 60_000) * 12.9898 + salt * 78.233) * 43758.5453
  return 2 * (x - Math.floor(x)) - 1
}

/**
 * What the sensor reads: °C to a tenth, relative humidity to a hundredth.
 * @param at instant, ms
 */
export function standInRoom(at: number): { celsius: number; humidity: number } {
  const front = wave(at, 11.3, 2) * 0.6 + wave(at, 27.1, 5) * 0.4
  const hours = wave(at, 1, -0.35)
  const celsius = 16.8 - 1.4 * front + 1.1 * hours + 0.12 * flicker(at, 1)
  const humidity = 0.55 + 0.09 * front - 0.03 * hours + 0.008 * flicker(at, 2)
  return {
    celsius: Math.round(celsius * 10) / 10,
    humidity: Math.min(0.95, Math.max(0.2, Math.round(humidity * 100) / 100)),
  }
}
