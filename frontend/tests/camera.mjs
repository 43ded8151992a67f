// The camera of three.js over a sheet: reads scenes on standard input, writes the page places of their points.
// Used by tests/core/outside/test_projection.py; see there.
import { readFileSync, writeFileSync } from 'node:fs'
import { Matrix4, Vector3 } from 'three'

const NEAR = 1
const FAR = 1e7

/** Our world has y up and z away from the viewer; a three.js camera looks along -z. */
function pagePlaces({ width, height, principal, distance, points }) {
  const [px, py] = principal
  const scale = NEAR / distance
  const lens = new Matrix4().makePerspective(
    -px * scale,
    (width - px) * scale,
    (height - py) * scale,
    -py * scale,
    NEAR,
    FAR,
  )
  return points.map(([x, y, z]) => {
    const ndc = new Vector3(x, y, -z).applyMatrix4(lens)
    return [((ndc.x + 1) / 2) * width, ((ndc.y + 1) / 2) * height]
  })
}

writeFileSync(1, JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map(pagePlaces)))
