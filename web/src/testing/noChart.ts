/** Stands for charts in tests of components. */
export default class NoChart {
  render() {
    return Promise.resolve();
  }
  updateOptions() {
    return Promise.resolve();
  }
  destroy() {
    // Nothing was drawn.
  }
}
