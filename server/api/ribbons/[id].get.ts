export default ribbonRoutes.get()
