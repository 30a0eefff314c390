export default ribbonRoutes.remove()
