const key = 'mantle-device'
const nameKey = 'mantle-device-name'
let here = ''
const text = (value: unknown) => (typeof value === 'string' && value ? value : null)

/** This device's own id: the same as long as its browser keeps it. */
export function deviceId(): string {
  here ||= keptHere(key, text) ?? ''
  if (!here) keepHere(key, (here = newId()))
  return here
}

/** What this device is called to the others. */
export function deviceName(): string {
  const own = keptHere(nameKey, text)
  if (own) return own.slice(0, 60)
  if (/iPhone|Android.+Mobile/.test(navigator.userAgent)) return 'A phone'
  return /iPad|Android|Tablet/.test(navigator.userAgent) ? 'A tablet' : 'A computer'
}
