export default shortWordRoutes.remove()
