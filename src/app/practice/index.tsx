/** An address alone: the step's layout shows the part it names. */
export default function Part() {
  return null;
}
