/** Orders to be laid out, made from a seed: what `npm run bench` measures the layout search with. */

const rectangle = (wide, high) => [
  [0, 0],
  [wide, 0],
  [wide, high],
  [0, high],
]
const arc = (radius, from, to, count) =>
  Array.from({ length: count + 1 }, (_, i) => {
    const angle = from + ((to - from) * i) / count
    return [radius * Math.cos(angle), radius * Math.sin(angle)]
  })
const circle = (radius, count) => arc(radius, 0, 2 * Math.PI * (1 - 1 / count), count - 1)
const moved = (outline, dx, dy) => outline.map(([x, y]) => [x + dx, y + dy])
const areaOf = (outline) =>
  Math.abs(
    outline.reduce((sum, [x, y], i) => {
      const [u, v] = outline[(i + 1) % outline.length]
      return sum + x * v - u * y
    }, 0) / 2,
  )

/** A round blank with six tabs. */
const tabbed = (radius, long) =>
  Array.from({ length: 6 }, (_, k) => {
    const middle = (k * Math.PI) / 3
    return [
      [radius, -0.4],
      [radius, -0.16],
      [radius + long, -0.12],
      [radius + long, 0.12],
      [radius, 0.16],
      [radius, 0.4],
    ].map(([r, off]) => [r * Math.cos(middle + off), r * Math.sin(middle + off)])
  }).flat()

const netOf = (item) =>
  item.circle ? Math.PI * item.circle.radiusMm ** 2 : areaOf(item.outer) - (item.holes ?? []).reduce((sum, hole) => sum + areaOf(hole), 0)

/** Discs, tabbed blanks, strips, half rounds, fans, a mask and washers: forty-one of them, or so many times as many. */
export function mixedItems(times = 1) {
  const window = circle(4, 24)
  const mask = [...arc(20, 0, Math.PI, 24), [-20, -10], [-8, -16], [0, -12], [8, -16], [20, -10]]
  return [
    { id: 'disc-12', qty: 8, circle: { radiusMm: 6 } },
    { id: 'disc-20', qty: 4, circle: { radiusMm: 10 } },
    { id: 'tabbed', qty: 5, outer: tabbed(7, 4) },
    { id: 'strip', qty: 6, outer: rectangle(55, 5) },
    { id: 'half-round', qty: 6, outer: arc(9, -Math.PI / 2, Math.PI / 2, 24) },
    { id: 'fan', qty: 6, outer: [...arc(18, 0, Math.PI / 2, 20), ...arc(7, Math.PI / 2, 0, 12)] },
    { id: 'mask', qty: 1, outer: mask, holes: [moved(window, -8, 4).reverse(), moved(window, 8, 4).reverse()] },
    { id: 'washer', qty: 5, outer: circle(9, 48), holes: [circle(5, 32).reverse()] },
  ].map((item) => ({ ...item, qty: Math.round(item.qty * times) }))
}

function numbersFrom(seed) {
  let state = seed >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

/** A rectangle cut by straight cuts through the middle of its largest piece. */
function cutUp(wide, high, count, random) {
  const pieces = [rectangle(wide, high)]
  while (pieces.length < count) {
    pieces.sort((a, b) => areaOf(b) - areaOf(a))
    const piece = pieces.shift()
    const [cx, cy] = piece.reduce(([x, y], [px, py]) => [x + px / piece.length, y + py / piece.length], [0, 0])
    const angle = Math.PI * random()
    const side = ([x, y]) => (x - cx) * Math.cos(angle) + (y - cy) * Math.sin(angle)
    for (const way of [1, -1])
      pieces.push(
        piece.flatMap((point, i) => {
          const next = piece[(i + 1) % piece.length]
          const [a, b] = [way * side(point), way * side(next)]
          const t = a / (a - b)
          const crossing = a * b < 0 ? [[point[0] + t * (next[0] - point[0]), point[1] + t * (next[1] - point[1])]] : []
          return [...(a >= 0 ? [point] : []), ...crossing]
        }),
      )
  }
  return pieces
}

function jigsaw(count, grown, seconds, seed) {
  const by = Math.sqrt(grown)
  const pieces = cutUp(120, 80, count, numbersFrom(seed))
  return {
    name: `jigsaw of ${count}, unturned, ${grown} of its area`,
    kerfMm: 0,
    marginMm: 0,
    seconds,
    container: { outer: rectangle(120 * by, 80 * by) },
    items: pieces.map((outer, i) => ({ id: `piece-${i}`, outer, rotations: [0] })),
  }
}

function mixed(share, seconds) {
  const items = mixedItems()
  const net = items.reduce((sum, item) => sum + item.qty * netOf(item), 0)
  const container = { outer: rectangle(net / share / 100, 100) }
  return { name: `mixed order of 41, ${share} of its sheet`, kerfMm: 0.4, marginMm: 1, seconds, container, items }
}

/** The mixed order on as little of a strip 100 mm wide as it takes. */
const shortest = (seconds) => ({
  name: `mixed order of 41, least length in ${seconds} s`,
  objective: 'length',
  kerfMm: 0.4,
  marginMm: 1,
  seconds,
  container: { outer: rectangle(300, 100) },
  items: mixedItems(),
})

/** Equal discs in a square so many times as large as the smallest known to take them; radii against its side, from memory of published tables. */
const discs = (count, radius, grown, seconds) => ({
  name: `${count} discs in a square, ${grown} of the best known`,
  objective: 'value',
  kerfMm: 0,
  marginMm: 0,
  seconds,
  container: { outer: rectangle(100 * grown, 100 * grown) },
  items: [{ id: 'disc', qty: count, circle: { radiusMm: 100 * radius } }],
})

/** The jigsaw with its pieces held to quarter turns. */
const quartered = (count, grown, seconds, seed) => {
  const family = jigsaw(count, grown, seconds, seed)
  const items = family.items.map((item) => ({ ...item, rotations: [0, 90, 180, 270] }))
  return { ...family, name: `jigsaw of ${count}, quarter turns, ${grown} of its area`, items }
}

const CONCAVE = [
  [0, 0],
  [150, 0],
  [150, 60],
  [90, 60],
  [90, 100],
  [150, 100],
  [150, 130],
  [0, 130],
  [0, 70],
  [40, 60],
  [0, 40],
]

/** The mixed order from 10 blanks to 300, each on a sheet that takes it, in five seconds. */
export function growingOrders() {
  return [10, 20, 40, 80, 150, 300].map((count) => ({
    name: `mixed order of about ${count}`,
    objective: 'length',
    kerfMm: 0.4,
    marginMm: 1,
    seconds: 5,
    container: { outer: rectangle(Math.max(120, 7.5 * count), 100) },
    items: mixedItems(count / 41),
  }))
}

/** The families, each with the seconds it has; `name` says what it is. */
export function layoutFamilies() {
  return [
    ...[1, 5, 20].map(shortest),
    mixed(0.63, 1),
    mixed(0.68, 5),
    mixed(0.7, 20),
    discs(30, 0.091671, 1.0001, 2),
    discs(50, 0.0713771, 1.001, 10),
    discs(100, 0.0514011, 1.0025, 10),
    jigsaw(12, 1.05, 10, 7),
    jigsaw(20, 1.2, 20, 11),
    jigsaw(24, 1.1, 60, 13),
    quartered(12, 1.1, 20, 7),
    {
      name: 'mixed order of 72 on 150 x 100',
      objective: 'value',
      kerfMm: 0.4,
      marginMm: 1,
      seconds: 60,
      container: { outer: rectangle(150, 100) },
      items: mixedItems(72 / 41),
    },
    {
      name: 'mixed order of 41 on four sheets',
      kerfMm: 0.4,
      marginMm: 1,
      seconds: 20,
      sheets: [
        [60, 45],
        [90, 60],
        [110, 75],
        [150, 100],
      ].map(([wide, high], i) => ({ id: `sheet ${i + 1}`, outer: rectangle(wide, high), costRank: i })),
      items: mixedItems(),
    },
    {
      name: 'first layout of 80',
      kerfMm: 0.4,
      marginMm: 1,
      seconds: 1,
      container: { outer: rectangle(400, 100) },
      items: mixedItems(80 / 41),
    },
    {
      name: 'washers with discs in their windows',
      kerfMm: 0.4,
      marginMm: 1,
      seconds: 20,
      container: { outer: rectangle(62, 91) },
      items: [
        { id: 'washer', qty: 6, outer: circle(14, 48), holes: [circle(9, 48).reverse()] },
        { id: 'large', qty: 6, circle: { radiusMm: 8 } },
        { id: 'small', qty: 8, circle: { radiusMm: 3 } },
      ],
    },
    {
      name: 'concave offcut with two holes, 68 ordered',
      kerfMm: 0.4,
      marginMm: 1,
      seconds: 60,
      container: {
        outer: CONCAVE,
        holes: [moved(circle(10, 40), 120, 30).reverse(), moved(rectangle(20, 12), 30, 95).reverse()],
      },
      items: mixedItems(68 / 41),
    },
  ]
}
