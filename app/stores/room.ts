import type { Room, RoomReading } from '#contracts/room'
import { dampWeek } from '#core/rack/room'
import { defineStore } from 'pinia'

/** The drying room: what it is like now, and day by day. */
export const useRoom = defineStore('room', () => {
  const room = ref<Room>({ now: null, days: [] })
  const live = ref<RoomReading | null>(null)
  let end: (() => void) | null = null

  async function load() {
    room.value = await api.get<Room>('/api/room').catch(() => room.value)
  }
  /** Listens to the sensor for as long as somebody asks for it. */
  function listen() {
    end?.()
    end = listenTo({ room: true }, (message) => {
      if (message.topic === 'room') live.value = message.data
    })
  }
  function leave() {
    end?.()
    end = null
    live.value = null
  }
  /** Keeps a typed reading. Throws an ApiError. */
  async function keep(reading: Pick<RoomReading, 'celsius' | 'humidity'>) {
    room.value = await api.post<Room>('/api/room', reading)
  }
  /** How a damp week slows drying; null while it is dry enough. */
  const damp = computed(() => dampWeek(room.value.days, useWorkshop().settings.rack.humidity))
  const now = computed(() => live.value ?? room.value.now)
  return { room, now, damp, live, load, listen, leave, keep }
})
