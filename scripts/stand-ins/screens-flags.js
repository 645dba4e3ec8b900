/** In place of switches for native screens, which the web has none of. */
exports.initScreensFeatureFlags = () => undefined;
