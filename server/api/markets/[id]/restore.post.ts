export default marketRoutes.restore()
