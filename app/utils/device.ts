const key = 'mantle-device'
const nameKey = 'mantle-device-name'
let here = ''

/** This device's own id: the same as long as its browser keeps it. */
export function deviceId(): string {
  try {
    here ||= localStorage.getItem(key) ?? ''
    if (!here) localStorage.setItem(key, (here = newId()))
  } catch {
    here ||= newId()
  }
  return here
}

/** What this device is called to the others. */
export function deviceName(): string {
  try {
    const own = localStorage.getItem(nameKey)
    if (own) return own
  } catch {
    // switched off: the usual name
  }
  if (/iPhone|Android.+Mobile/.test(navigator.userAgent)) return 'A phone'
  return /iPad|Android|Tablet/.test(navigator.userAgent) ? 'A tablet' : 'A computer'
}
