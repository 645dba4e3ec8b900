/** What the graphics card computes: light on surfaces, the sky, the sum of samples, and the picture from it. */

/** How deep the sun's cameras see, metres. */
export const SUN_DEPTH_M = 640;
/** Sides of what they see: over the ground, and over that, round the subject. */
export const FAR_SHADE_PX = 2048;
export const NEAR_SHADE_PX = 1024;

export const SURFACE_VERTEX = `
attribute vec4 colour;
#ifdef WIRE
attribute vec2 metres;
varying vec2 vMetres;
#endif
uniform vec3 toSun;
uniform mat4 nearShade;
uniform mat4 farShade;
uniform float nearTexelM;
uniform float farTexelM;
varying vec4 vColour;
varying vec3 vNormal;
varying vec3 vPlace;
varying vec3 vNear;
varying vec3 vFar;

// The flatter the sun falls in, the further before its surface a place is looked up: it must not shade itself.
vec3 shadeAt(mat4 shade, vec3 place, vec3 n, float texelM) {
  float facing = dot(n, toSun);
  float slant = sqrt(max(0.0, 1.0 - facing * facing));
  return (shade * vec4(place + n * slant * 2.0 * texelM, 1.0)).xyz;
}

void main() {
  vec4 place = modelMatrix * vec4(position, 1.0);
  vPlace = place.xyz;
  vNormal = mat3(modelMatrix) * normal;
  vec3 n = normalize(vNormal);
  vNear = shadeAt(nearShade, vPlace, n, nearTexelM);
  vFar = shadeAt(farShade, vPlace, n, farTexelM);
  vColour = colour;
#ifdef WIRE
  vMetres = metres;
#endif
  gl_Position = projectionMatrix * viewMatrix * place;
}`;

/**
 * Luminance of a matt surface: its share of sun, sky, ground and lamps, as the light model adds them. Shade is
 * looked up once, near the subject finely, over the ground coarsely: drawn by software both sides of every
 * branch are taken, and a look-up costs most.
 */
export const SURFACE_FRAGMENT = `
uniform vec3 toSun;
uniform float sunLux;
uniform float skyLux;
uniform float skyShare;
uniform float groundLux;
uniform float lampLux;
uniform sampler2D depths;
uniform vec2 aside;
#ifdef WIRE
uniform vec2 wire;
varying vec2 vMetres;
#endif
varying vec4 vColour;
varying vec3 vNormal;
varying vec3 vPlace;
varying vec3 vNear;
varying vec3 vFar;

float hashed(vec2 at) {
  vec3 p = fract(at.xyx * 0.1031);
  p += dot(p, p.yzx + 33.33);
  return fract((p.x + p.y) * p.z);
}
// Leaves, seats, grass: light and dark by turns, as large as the detail is, and as light as ever in the mean.
// Level or upright, along whichever way: two of the three measures tell one detail from the next.
float mottled(vec3 place) {
  vec2 at = vec2(place.x + 0.37 * place.z, place.y + 0.73 * place.z);
  vec2 i = floor(at);
  vec2 f = smoothstep(0.0, 1.0, at - i);
  return mix(mix(hashed(i), hashed(i + vec2(1, 0)), f.x), mix(hashed(i + vec2(0, 1)), hashed(i + vec2(1, 1)), f.x), f.y) * 2.0 - 1.0;
}

const float FAR_PX = ${FAR_SHADE_PX.toFixed(1)};
const float NEAR_PX = ${NEAR_SHADE_PX.toFixed(1)};
const float DEPTH_M = ${SUN_DEPTH_M.toFixed(1)};
// Each sample looks a little aside: the mean of all is soft. No look goes over the edge.
float open() {
  bool isNear = all(lessThan(abs(vNear), vec3(1.0 - 8.0 / NEAR_PX)));
  bool isFar = all(lessThan(abs(vFar), vec3(1.0 - 8.0 / FAR_PX)));
  vec3 at = 0.5 + 0.5 * (isNear ? vNear : vFar);
  vec2 texel = aside + (isNear ? vec2(0.0, FAR_PX) + at.xy * NEAR_PX : at.xy * FAR_PX);
  float seenM = texelFetch(depths, ivec2(texel), 0).r * DEPTH_M + (isNear ? 0.03 : 0.25);
  return (isNear || isFar) && seenM < at.z * DEPTH_M ? 0.0 : 1.0;
}

void main() {
#ifdef WIRE
  vec2 cell = mod(vMetres, wire.x);
  if (cell.x > wire.y && cell.y > wire.y) discard;
#endif
  vec3 n = normalize(vNormal);
#ifdef WIRE
  if (!gl_FrontFacing) n = -n;
#endif
  float sun = max(0.0, dot(n, toSun)) * sunLux * open();
  float sky = skyLux * skyShare * (0.5 + 0.5 * n.z);
  float ground = groundLux * (0.5 - 0.5 * n.z);
  float tone = vColour.a > 0.0 ? 1.0 + 0.45 * mottled(vPlace / vColour.a) : 1.0;
  gl_FragColor = vec4(vColour.rgb * tone * (sun + sky + ground + lampLux) / 3.14159265, 1.0);
}`;

export const DEPTH_VERTEX = `
void main() {
  gl_Position = projectionMatrix * viewMatrix * modelMatrix * vec4(position, 1.0);
}`;
export const DEPTH_FRAGMENT = `void main() { gl_FragColor = vec4(1.0); }`;

export const SKY_VERTEX = `
varying vec3 vToward;
void main() {
  vToward = position;
  vec4 at = projectionMatrix * mat4(mat3(viewMatrix)) * vec4(position, 1.0);
  gl_Position = at.xyww;
}`;
/**
 * The two skies of the core's \`skyShape\`, the overcast one where the sheet of clouds covers the clear one; under a
 * roof an even wall. Scales are nits for a shape of one. In the mean over the sheet the cover is \`cloud\`.
 */
export const SKY_FRAGMENT = `
uniform float clearScale;
uniform float overcastScale;
uniform float cloud;
uniform sampler2D clouds;
uniform vec3 toSun;
uniform float wallNits;
uniform vec3 tint;
varying vec3 vToward;
// The sheet is as long as its base is high eight times over. Towards the horizon it comes down with the earth's curve,
// and what is left there is haze.
float cover(vec3 toward, float up) {
  if (cloud <= 0.0 || cloud >= 1.0) return cloud;
  float rank = texture2D(clouds, toward.xy / (up + 0.12) / 8.0).r;
  float soft = min(0.25, min(cloud, 1.0 - cloud));
  float here = smoothstep(1.0 - cloud - soft, 1.0 - cloud + soft, rank);
  return mix(cloud, here, 0.8 * smoothstep(0.0, 0.05, up));
}
float shape(float a, float b, float c, float d, float e, float up, float cosine) {
  float fromSun = acos(clamp(cosine, -1.0, 1.0));
  float gradation = 1.0 + a * exp(b / max(0.01, up));
  float indicatrix = 1.0 + c * (exp(d * fromSun) - exp(d * 1.5707963));
  return gradation * (indicatrix + e * cosine * cosine);
}
void main() {
  vec3 toward = normalize(vToward);
  float up = max(0.0, toward.z);
  float cosine = dot(toward, toSun);
  float clear = clearScale * shape(-1.0, -0.32, 10.0, -3.0, 0.45, up, cosine);
  float overcast = overcastScale * shape(4.0, -0.7, 0.0, -1.0, 0.0, up, cosine);
  vec3 sky = mix(clear * tint, vec3(overcast), cover(toward, up));
  gl_FragColor = vec4(wallNits > 0.0 ? vec3(wallNits) : sky, 1.0);
}`;

export const FULL_VERTEX = `
void main() {
  gl_Position = vec4(position.xy, 0.0, 1.0);
}`;

export const ADD_FRAGMENT = `
uniform sampler2D sum;
uniform sampler2D sampled;
uniform float perNit;
void main() {
  ivec2 at = ivec2(gl_FragCoord.xy);
  gl_FragColor = vec4(texelFetch(sum, at, 0).rgb + texelFetch(sampled, at, 0).rgb * perNit, 1.0);
}`;

/** From the mean of all samples to the picture: grain, the highlight's end, one curve, paper and ink. */
export const PICTURE_FRAGMENT = `
uniform sampler2D sum;
uniform float samples;
uniform float clippedAt;
uniform vec2 grain;
uniform vec3 paper;
uniform vec3 ink;

float hash(vec2 at, float seed) {
  vec3 p = fract(vec3(at.xyx) * vec3(0.1031, 0.1030, 0.0973) + seed);
  p += dot(p, p.yzx + 33.33);
  return fract((p.x + p.y) * p.z);
}
float normal(float seed) {
  float u = max(1e-6, hash(gl_FragCoord.xy, seed));
  float v = hash(gl_FragCoord.xy, seed + 0.37);
  return sqrt(-2.0 * log(u)) * cos(6.2831853 * v);
}
float toned(float x) {
  if (x <= 0.5) return max(0.0, x);
  float share = min(1.0, (x - 0.5) / (clippedAt - 0.5));
  return 1.0 - 0.5 * pow(1.0 - share, (clippedAt - 0.5) / 0.5);
}
float encoded(float x) {
  return x <= 0.0031308 ? 12.92 * x : 1.055 * pow(x, 1.0 / 2.4) - 0.055;
}
void main() {
  vec3 x = texelFetch(sum, ivec2(gl_FragCoord.xy), 0).rgb / samples;
  for (int i = 0; i < 3; i++) {
    float noise = sqrt(max(0.0, grain.x * x[i] + grain.y));
    float value = min(clippedAt, x[i] + noise * normal(0.11 + 0.23 * float(i)));
    x[i] = encoded(toned(value));
  }
  gl_FragColor = vec4(mix(ink, paper, x), 1.0);
}`;
