export default shortWordRoutes.restore()
