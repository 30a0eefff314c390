export default ribbonRoutes.restore()
