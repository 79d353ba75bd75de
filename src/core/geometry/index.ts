export { intersectRegions, offsetOutline, type Region, subtractRegions, uniteRegions } from './clip'
export { circleOutline, netAreaMm2, perimeterMm, rectangleOutline, signedAreaMm2 } from './outline'
export { type Bounds, boundsOf, type Outline, type Point, placeOutline, placePoint } from './point'
