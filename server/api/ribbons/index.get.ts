export default ribbonRoutes.list()
