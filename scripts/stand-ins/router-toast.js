/** In place of what expo-router shows while a screen is fetched: the screens have outlines of their own. */
exports.Toast = function Toast() {
  return null;
};
exports.ToastWrapper = function ToastWrapper({ children }) {
  return children;
};
